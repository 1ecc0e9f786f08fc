import type { Plan, StepId } from '../model'
import { trace } from './course'
import type { PlanTrace } from './plan-trace'

/** Of a plan so many of its latest traces are kept: as it stands, and as it stood before the last entry was taken back. */
const KEPT = 2

const known = new WeakMap<Plan, { without: string, traced: PlanTrace }[]>()

/**
 * The same as `trace`, worked out once for each plan and what is left out of it: a log that grows leaves both as they are. For plans
 * that nobody changes in place.
 */
export function traceOnce(plan: Plan, leftOut: ReadonlySet<StepId> = new Set()): PlanTrace {
  const without = [...leftOut].sort().join(' ')
  const kept = known.get(plan) ?? []
  const found = kept.find(one => one.without === without) ?? { without, traced: trace(plan, leftOut) }
  known.set(plan, [found, ...kept.filter(one => one !== found)].slice(0, KEPT))
  return found.traced
}
