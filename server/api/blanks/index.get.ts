import { db } from '../../db/connection'
import { listBlanks } from '../../db/blanks'
import { route } from '../../http/route'

export default route('GET /api/blanks', async () => listBlanks(db()))
