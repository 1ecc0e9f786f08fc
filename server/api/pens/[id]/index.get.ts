import { elsewhereOf, eventsOf } from '../../../db/log'
import { readPen } from '../../../db/pens'
import { readPlan } from '../../../db/plans'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('GET /api/pens/:id', event => inWorkshop(event, async (knex) => {
  const pen = await readPen(knex, idParam(event))
  return { pen, plan: await readPlan(knex, pen), events: await eventsOf(knex, pen.id), elsewhere: await elsewhereOf(knex, pen.id) }
}))
