import { db } from '../../../db/connection'
import { elsewhereOf, eventsOf } from '../../../db/log'
import { readPen } from '../../../db/pens'
import { readPlan } from '../../../db/plans'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'

export default route('GET /api/pens/:id', async (event) => {
  const knex = db()
  const pen = await readPen(knex, idParam(event))
  const [plan, events, elsewhere] = await Promise.all([readPlan(knex, pen), eventsOf(knex, pen.id), elsewhereOf(knex, pen.id)])
  return { pen, plan, events, elsewhere }
})
