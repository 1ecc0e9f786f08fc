import { db } from '../../db/connection'
import { fillShelf } from '../../db/shelf'
import { route } from '../../http/route'

export default route('POST /api/shelf/usual', () => fillShelf(db()))
