import type { Knex } from 'knex'
import { buildGrowths, sandingObservations, usesOf, type Use } from '../../core/bench'
import { fitBuild, type BuildFit, type Growth } from '../../core/film'
import { sandingClass, type MaterialClass } from '../../core/plan'
import { learnSanding, type Learnt, type SandingObservation } from '../../core/sanding'
import { products } from '../../reference'
import { eventsByPen } from './events'
import { readPlans } from './plans'

/** The latest answers of a class, and growths of coats, that are learnt from: hands, papers and bottles change. */
const LATEST = 200

/** What was learnt of each class of wood; a class that nothing is known of is absent. */
export type LearntByClass = Partial<Record<MaterialClass | 'wood', Learnt>>

/** What the log of all pens tells about this workshop: how it sands, class by class, what its coats build, and what they took from the bottles. */
export interface WorkshopLearnt {
  sanding: LearntByClass
  builds: BuildFit
  uses: Use[]
}

const DEFAULTS = Object.fromEntries(products.flatMap(product => product.film ? [[product.id, product.film.build]] : []))

/** Works out what the log tells. The demo's made-up entries tell nothing. */
export async function readLearnt(knex: Knex): Promise<WorkshopLearnt> {
  const plans = await readPlans(knex)
  const logs = await eventsByPen(knex)
  const marks = new Map<string, string>((await knex('pens').select('id', 'mark')).map(row => [row.id, row.mark]))
  const seen = new Map<MaterialClass | 'wood', SandingObservation[]>()
  const growths: Growth[] = []
  const uses: Use[] = []
  for (const [pen, plan] of plans) {
    const log = (logs.get(pen) ?? []).filter(event => event.device !== 'demo')
    if (!log.length) continue
    const found = sandingObservations(plan, log)
    const of = sandingClass(plan.inputs.material)
    if (found.length) seen.set(of, [...seen.get(of) ?? [], ...found])
    growths.push(...buildGrowths(plan, log, marks.get(pen) ?? ''))
    uses.push(...usesOf(plan, log))
  }
  return {
    sanding: Object.fromEntries([...seen].map(([of, observations]) => [of, learnSanding(observations.slice(-LATEST))])),
    builds: fitBuild(growths.slice(-LATEST), DEFAULTS),
    uses,
  }
}

/** The turner's own builds as a plan takes them: only of products that were measured. */
export const ownBuilds = ({ builds }: Pick<WorkshopLearnt, 'builds'>): Record<string, number> =>
  Object.fromEntries(Object.entries(builds.products).flatMap(([id, own]) => own.measurements > 0 ? [[id, own.build]] : []))
