import { listMethods } from '../../db/methods'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('GET /api/methods', event => inWorkshop(event, listMethods))
