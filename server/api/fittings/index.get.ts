import { listFittings } from '../../db/fittings'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('GET /api/fittings', event => inWorkshop(event, listFittings))
