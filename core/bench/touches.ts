import type { AirReading, Touch } from '../climate'
import { isTouched } from '../plan'
import { secondsBetween } from './pause'
import { waitOf, type BenchState } from './replay'
import { unlearnt } from './unlearnt'

/** What a finger told of a product, and when, ISO 8601. */
export type DatedTouch = Touch & { product: string, at: string }

/**
 * What the touches of a pen tell of how long its products wait: each against the wait that is reckoned in the air as it was, without
 * what was learnt before and as if nothing had been touched.
 */
export function touchesOf({ plan, steps, held }: BenchState, air: readonly AirReading[]): DatedTouch[] {
  const bare = unlearnt(plan)
  return held.touches.flatMap(({ at, payload }): DatedTouch[] => {
    const step = plan.steps.find(one => one.id === payload.step)
    const wait = step && waitOf(bare, step, { steps, air, touches: [] })
    const since = wait && isTouched(wait.purpose) && plan.steps.find(one => one.id === wait.since)
    if (!wait || !since || since.kind !== 'coat' || at <= wait.from) return []
    const part = secondsBetween(wait.from, at) / secondsBetween(wait.from, wait.until)
    return [{ product: since.product.id, at, part, felt: payload.felt }]
  })
}
