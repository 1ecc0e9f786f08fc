import { db } from '../db/connection'
import { readWorkshop } from '../db/workshop'
import { route } from '../http/route'

export default route('GET /api/workshop', () => readWorkshop(db()))
