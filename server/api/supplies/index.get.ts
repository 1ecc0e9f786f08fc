import { readSupplies } from '../../db/supplies'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Where things are bought, and what was bought and counted lately. */
export default route('GET /api/supplies', event => inWorkshop(event, readSupplies))
