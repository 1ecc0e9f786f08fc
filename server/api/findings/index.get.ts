import { findingsPlace } from '../../db/findings'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** What stands out in the log, and which questions it can answer. */
export default route('GET /api/findings', event => inWorkshop(event, findingsPlace))
