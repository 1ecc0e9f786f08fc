import { replay } from '../../../core/bench'
import { lastChange } from '../../db/changes'
import { db } from '../../db/connection'
import { eventsByPen, lastSeq } from '../../db/events'
import { listPens } from '../../db/pens'
import { readPlans } from '../../db/plans'
import { route } from '../../http/route'

export default route('GET /api/bench', async () => {
  const knex = db()
  // The numbers first: what comes in meanwhile is then told twice, never missed.
  const [seq, changed] = [await lastSeq(knex), await lastChange(knex)]
  const [pens, plans, logs] = await Promise.all([listPens(knex), readPlans(knex), eventsByPen(knex)])
  const inWork = pens.flatMap((pen) => {
    const [plan, events] = [plans.get(pen.id), logs.get(pen.id) ?? []]
    if (!plan) return []
    const state = replay(plan, events)
    return state.begun && !state.finished ? [{ pen, plan, events }] : []
  })
  return { seq, changed, pens: inWork }
})
