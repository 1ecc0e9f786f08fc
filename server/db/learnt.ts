import type { Knex } from 'knex'
import { sandingObservations } from '../../core/bench'
import { sandingClass, type MaterialClass } from '../../core/plan'
import { learnSanding, type Learnt, type SandingObservation } from '../../core/sanding'
import { eventsByPen } from './events'
import { readPlans } from './plans'

/** The latest answers of a class that are learnt from: hands and papers change. */
const LATEST = 200

/** What was learnt of each class of wood; a class that nothing is known of is absent. */
export type LearntByClass = Partial<Record<MaterialClass | 'wood', Learnt>>

/** What the log of all pens tells about this workshop's sanding, class by class; the demo's made-up entries tell nothing. */
export async function readLearnt(knex: Knex): Promise<LearntByClass> {
  const plans = await readPlans(knex)
  const logs = await eventsByPen(knex)
  const seen = new Map<MaterialClass | 'wood', SandingObservation[]>()
  for (const [pen, plan] of plans) {
    const found = sandingObservations(plan, (logs.get(pen) ?? []).filter(event => event.device !== 'demo'))
    const of = sandingClass(plan.inputs.material)
    if (found.length) seen.set(of, [...seen.get(of) ?? [], ...found])
  }
  return Object.fromEntries([...seen].map(([of, observations]) => [of, learnSanding(observations.slice(-LATEST))]))
}
