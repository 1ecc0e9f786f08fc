import { db } from '../../db/connection'
import { readShelf } from '../../db/shelf'
import { route } from '../../http/route'

export default route('GET /api/shelf', () => readShelf(db()))
