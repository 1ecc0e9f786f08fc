import type { WaitPurpose } from '../../shelf'
import type { StepId } from './ids'
import type { PlanInputs } from './inputs'
import { isKind, type CoatStep, type Step } from './step'

/** A plan is a value: its inputs and its steps. Time, film, scratches and diameters are worked out from it by `trace`. */
export interface Plan {
  /** How a plan is written down; another number is another form. */
  form: 1
  /** All that it was made from. */
  inputs: PlanInputs
  /** What is to be done, in its order. */
  steps: readonly Step[]
}

const NONE: ReadonlySet<StepId> = new Set()

/** Waits that every product put on has to keep, not only the last: a lacquer under a wax cures on. */
const OF_EACH: ReadonlySet<WaitPurpose> = new Set(['level', 'assemble', 'hand over'])

/** The steps before one; none where the plan has no such step. */
export const stepsBefore = ({ steps }: Plan, step: Step): readonly Step[] => steps.slice(0, Math.max(0, steps.indexOf(step)))

/**
 * The steps that a gate counts from: the nearest one of its kind before the gated step, those left out passed over; for what must be
 * hard all through, the last coat of every product.
 */
export function gateSince(plan: Plan, step: Step, leftOut = NONE): Step[] {
  const { gate } = step
  if (!gate) return []
  const before = stepsBefore(plan, step).filter(earlier => earlier.kind === gate.since && !leftOut.has(earlier.id))
  if (!OF_EACH.has(gate.purpose)) return before.slice(-1)
  return [...new Map(before.map(earlier => ['product' in earlier ? earlier.product?.id : '', earlier])).values()]
}

/** Whether a step takes the whole finish off. */
export const stripsAll = (step: Step): boolean => step.kind === 'sand back' && step.whole

/** The coats that were wiped off again while they were wet, by the ids of their steps. */
export const wipedOff = (steps: readonly Step[]): Set<StepId> =>
  new Set(steps.flatMap(step => (step.kind === 'take off' ? [step.coat] : [])))

/** The coats that stand in the end: those since the finish was last sanded off, without those of a barrel that catches up. */
function standingCoats(plan: Plan): CoatStep[] {
  const last = plan.steps.findLastIndex(stripsAll)
  const off = wipedOff(plan.steps)
  return plan.steps.slice(last + 1).filter(isKind('coat')).filter(coat => !coat.apart && !off.has(coat.id))
}

/** How many coats of film the plan puts on. */
export const coatCount = (plan: Plan): number => standingCoats(plan).length
