import { readLearnt } from '../db/learnt'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

/** What the log of all pens tells: the turner's own sanding, what their coats build, what they took from the bottles. */
export default route('GET /api/learnt', event => inWorkshop(event, knex => readLearnt(knex, { keeps: true })))
