import { boardOf, summarise } from '../../../core/bench'
import { unitWords } from '../../../core/units'
import { readAir } from '../../db/air'
import { db } from '../../db/connection'
import { eventsByPen } from '../../db/events'
import { listPens } from '../../db/pens'
import { readPlans } from '../../db/plans'
import { readWorkshop } from '../../db/workshop'
import { route } from '../../http/route'

export default route('GET /api/pens', async () => {
  const knex = db()
  const [pens, plans, logs, workshop, air] = await Promise.all([
    listPens(knex),
    readPlans(knex),
    eventsByPen(knex),
    readWorkshop(knex),
    readAir(knex),
  ])
  const units = unitWords(workshop.units)
  return pens.flatMap((pen) => {
    const plan = plans.get(pen.id)
    return plan ? [{ pen, summary: summarise(boardOf(plan, logs.get(pen.id) ?? [], air), units) }] : []
  })
})
