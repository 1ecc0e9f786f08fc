import { db } from '../../db/connection'
import { listFittings } from '../../db/fittings'
import { route } from '../../http/route'

export default route('GET /api/fittings', async () => listFittings(db()))
