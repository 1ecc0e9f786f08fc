import { stepTimes } from '../../db/pictures'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** How long hands were on steps, kind by kind. */
export default route('GET /api/findings/times', event => inWorkshop(event, stepTimes))
