import { db } from '../../db/connection'
import { methodHistory } from '../../db/methods'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'

export default route('GET /api/methods/:id', async event => methodHistory(db(), nameParam(event)))
