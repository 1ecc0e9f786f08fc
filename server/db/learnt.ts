import type { Knex } from 'knex'
import type { WorkshopLearnt } from '../../contract'
import { boardOf, buildGrowths, sandingObservations, usesOf, type Use } from '../../core/bench'
import { fitBuild, type Growth } from '../../core/film'
import { learnSanding, type SandingObservation } from '../../core/sanding'
import { sandingClass, type SandingClass } from '../../core/shelf'
import { products } from '../../reference'
import { eventsByPen } from './events'
import { readPlans } from './plans'

/** The latest answers of a class, and growths of coats, that are learnt from: hands, papers and bottles change. */
const LATEST = 200

const DEFAULTS = Object.fromEntries(products.flatMap(product => (product.film ? [[product.id, product.film.build]] : [])))

/** Works out what the log tells. The demo's made-up entries tell nothing. */
export async function readLearnt(knex: Knex): Promise<WorkshopLearnt> {
  const plans = await readPlans(knex)
  const logs = await eventsByPen(knex)
  const pens: { id: string, mark: string }[] = await knex('pens').select('id', 'mark')
  const marks = new Map<string, string>(pens.map(row => [row.id, row.mark]))
  const seen = new Map<SandingClass, SandingObservation[]>()
  const growths: Growth[] = []
  const uses: Use[] = []
  for (const [pen, plan] of plans) {
    const log = (logs.get(pen) ?? []).filter(event => event.device !== 'demo')
    if (!log.length) continue
    const board = boardOf(plan, log)
    const found = sandingObservations(board.state)
    const of = sandingClass(plan.inputs.material)
    if (found.length) seen.set(of, [...(seen.get(of) ?? []), ...found])
    growths.push(...buildGrowths(board, marks.get(pen) ?? ''))
    uses.push(...usesOf(board))
  }
  return {
    sanding: Object.fromEntries([...seen].map(([of, observations]) => [of, learnSanding(observations.slice(-LATEST))])),
    builds: fitBuild(growths.slice(-LATEST), DEFAULTS),
    uses,
  }
}
