import { readLearntOf } from '../../db/learnt-of'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** All that was learnt of a turner, and what of it is set aside. */
export default route('GET /api/findings/learnt', event => inWorkshop(event, readLearntOf))
