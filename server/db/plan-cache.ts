import type { Knex } from 'knex'
import type { Plan } from '../../core/plan'
import { plansOf } from './plans'

/** So many plans stay in memory: those of the pens that are on the benches. */
const KEPT = 100

/** Plans by their pen, version and the moment they were written, the one used last at the end. */
const known = new Map<string, Plan>()

/**
 * The same as `plansOf`, for whoever works a pen out again with each entry: a version never changes, so it is read once and kept. What
 * the database says of versions is told by `stamps`, read in this transaction, so nobody sees a plan that is not theirs or was kept by
 * nobody in the end.
 */
export async function plansAtHand(trx: Knex, stamps: ReadonlyMap<string, string>): Promise<Map<string, Plan>> {
  const missing = [...stamps].flatMap(([pen, stamp]) => (known.has(stamp) ? [] : [pen]))
  const read = missing.length ? await plansOf(trx, missing) : new Map<string, Plan>()
  const found = new Map<string, Plan>()
  for (const [pen, stamp] of stamps) {
    const plan = read.get(pen) ?? known.get(stamp)
    if (!plan) continue
    found.set(pen, plan)
    known.delete(stamp)
    known.set(stamp, plan)
  }
  for (const oldest of known.keys()) {
    if (known.size <= KEPT) break
    known.delete(oldest)
  }
  return found
}
