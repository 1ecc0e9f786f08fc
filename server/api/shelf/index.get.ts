import { db } from '../../db/connection'
import { readShelf } from '../../db/shelf'
import { route } from '../../http/route'

export default route(() => readShelf(db()))
