import { db } from '../../db/connection'
import { listMethods } from '../../db/methods'
import { route } from '../../http/route'

export default route('GET /api/methods', async () => listMethods(db()))
