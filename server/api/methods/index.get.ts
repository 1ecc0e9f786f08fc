import { db } from '../../db/connection'
import { listMethods } from '../../db/methods'
import { route } from '../../http/route'

export default route(async () => listMethods(db()))
