import { listBits } from '../db/bits'
import { db } from '../db/connection'
import { route } from '../http/route'

export default route('GET /api/bits', async () => listBits(db()))
