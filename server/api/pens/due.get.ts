import { nextDue } from '../../db/rows'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** The day that is due first, and how far its pens are. */
export default route('GET /api/pens/due', event => inWorkshop(event, async knex => ({ due: await nextDue(knex) })))
