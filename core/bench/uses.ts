import { trace, volumeOfCoat, type Plan } from '../plan'
import { replay } from './replay'
import type { BenchEvent } from './event'

/** What one coat took from a bottle: when, and how much, ml. */
export interface Use {
  product: string
  at: string
  ml: number
}

/** What the coats of a pen that are on have taken from the bottles. */
export function usesOf(planned: Plan, events: Iterable<BenchEvent>): Use[] {
  const { plan, steps } = replay(planned, events)
  const on = steps.flatMap(({ step, status, at }) => step.kind === 'coat' && status === 'done' ? [{ step, at: at! }] : [])
  if (!on.length) return []
  const { size } = trace(plan)
  return on.map(({ step, at }) => ({ product: step.product.id, at, ml: volumeOfCoat(plan, size, step) }))
}
