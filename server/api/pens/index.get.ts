import { summarise, type PenSummary } from '../../../core/bench'
import { unitWords } from '../../../core/units'
import { db } from '../../db/connection'
import { readAir } from '../../db/air'
import { eventsByPen } from '../../db/events'
import { listPens, type Pen } from '../../db/pens'
import { readPlans } from '../../db/plans'
import { readWorkshop } from '../../db/workshop'
import { route } from '../../http/route'

export interface ListedPen {
  pen: Pen
  summary: PenSummary
}

export default route(async (): Promise<ListedPen[]> => {
  const knex = db()
  const [pens, plans, logs, workshop, air] = await Promise.all([listPens(knex), readPlans(knex), eventsByPen(knex), readWorkshop(knex), readAir(knex)])
  const units = unitWords(workshop.units)
  return pens.flatMap((pen) => {
    const plan = plans.get(pen.id)
    return plan ? [{ pen, summary: summarise(plan, logs.get(pen.id) ?? [], units, air) }] : []
  })
})
