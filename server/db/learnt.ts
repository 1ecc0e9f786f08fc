import type { Knex } from 'knex'
import { sandingObservations } from '../../core/bench'
import { learnSanding, type Learnt } from '../../core/sanding'
import { eventsByPen } from './events'
import { readPlans } from './plans'

/** The latest answers that are learnt from: hands and papers change. */
const LATEST = 200

/** What the log of all pens tells about this workshop's sanding on wood; the demo's made-up entries tell nothing. */
export async function readLearnt(knex: Knex): Promise<Learnt> {
  const plans = await readPlans(knex)
  const logs = await eventsByPen(knex)
  const observations = [...plans].flatMap(([pen, plan]) => sandingObservations(plan, (logs.get(pen) ?? []).filter(event => event.device !== 'demo')))
  return learnSanding(observations.slice(-LATEST))
}
