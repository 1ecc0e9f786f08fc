import { freeMark } from '../../db/marks'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A mark that no pen in the making has, to go on with. */
export default route('GET /api/pens/mark', event => inWorkshop(event, async knex => ({ free: await freeMark(knex) })))
