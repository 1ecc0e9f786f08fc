import { alikePens } from '../../../db/alike'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** Pens of the log that are like one. */
export default route('GET /api/pens/:id/alike', event => inWorkshop(event, knex => alikePens(knex, idParam(event))))
