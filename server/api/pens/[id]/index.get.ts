import { airOfLog } from '../../../db/air-log'
import { elsewhereOf, eventsOf } from '../../../db/log'
import { readPen } from '../../../db/pens'
import { plansOf } from '../../../db/plans'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('GET /api/pens/:id', event => inWorkshop(event, async (knex) => {
  const pen = await readPen(knex, idParam(event))
  const plan = (await plansOf(knex, [pen.id])).get(pen.id) ?? null
  const events = await eventsOf(knex, pen.id)
  return { pen, plan, events, elsewhere: await elsewhereOf(knex, pen.id), air: await airOfLog(knex, events) }
}))
