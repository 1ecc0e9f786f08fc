import { listHours } from '../../db/evenings'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** When hands are there, as far as anybody said. */
export default route('GET /api/evenings/hours', event => inWorkshop(event, listHours))
