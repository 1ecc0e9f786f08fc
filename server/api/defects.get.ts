import { db } from '../db/connection'
import { readDefects } from '../db/defects'
import { route } from '../http/route'

export default route('GET /api/defects', () => readDefects(db()))
