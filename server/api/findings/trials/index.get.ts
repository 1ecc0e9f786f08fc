import { listTrials } from '../../../db/trials'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** Ways that are tried out against one another. */
export default route('GET /api/findings/trials', event => inWorkshop(event, listTrials))
