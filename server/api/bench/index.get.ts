import { replay } from '../../../core/bench'
import { db } from '../../db/connection'
import { eventsByPen, lastSeq } from '../../db/events'
import { listPens } from '../../db/pens'
import { readPlans } from '../../db/plans'
import { route } from '../../http/route'
import type { WholePen } from '../pens/[id]/index.get'

/** Every pen in work with all that its screen is worked out from, and the number up to which their logs are whole. */
export interface WholeBench {
  seq: number
  pens: Omit<WholePen, 'elsewhere'>[]
}

export default route(async (): Promise<WholeBench> => {
  const knex = db()
  // The number first: an entry that comes in meanwhile is then told twice, never missed.
  const seq = await lastSeq(knex)
  const [pens, plans, logs] = await Promise.all([listPens(knex), readPlans(knex), eventsByPen(knex)])
  const inWork = pens.flatMap((pen) => {
    const [plan, events] = [plans.get(pen.id), logs.get(pen.id) ?? []]
    if (!plan) return []
    const state = replay(plan, events)
    return state.begun && !state.finished ? [{ pen, plan, events }] : []
  })
  return { seq, pens: inWork }
})
