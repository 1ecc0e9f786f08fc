import { doorOf } from '../../access/door'
import { route } from '../../http/route'

/** Who is in; to a stranger no more than that nobody is. */
export default route('GET /api/door', doorOf)
