import { readEvenings } from '../../db/evenings'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** What evenings are planned from, beside the pens in work. */
export default route('GET /api/evenings', event => inWorkshop(event, readEvenings))
