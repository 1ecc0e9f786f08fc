import { listClasses } from '../../db/classes'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('GET /api/classes', event => inWorkshop(event, listClasses))
