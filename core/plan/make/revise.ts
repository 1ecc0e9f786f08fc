import { scratchLeft } from '../../sanding'
import { grainOf } from '../../shelf'
import { isGrit, isKind, phases, type Plan, type PlanInputs, type Step, type Wishes } from '../model'
import { makePlan } from './make'
import { barePass } from './pass'

const rank = (step: Step): number => phases.indexOf(step.phase)

/**
 * The plan made anew for changed inputs, with what is done kept. Steps of phases already left stay as they were; in the phase that is
 * under way, what was done stays and only finer grits or further coats follow; later phases are worked out afresh. With nothing done it
 * is a new plan.
 */
export function revisePlan(plan: Plan, change: Partial<PlanInputs>, done: ReadonlySet<string> = new Set()): Plan {
  const inputs = { ...plan.inputs, ...change }
  const doneSteps = plan.steps.filter(step => done.has(step.id))
  if (!doneSteps.length) return makePlan(inputs)

  const reached = Math.max(...doneSteps.map(rank))
  const lastGrit = doneSteps.filter(isKind('sand')).at(-1)
  const fresh = makePlan(inputs, lastGrit && scratchLeft(barePass(inputs)(lastGrit.abrasive)))
  const left = plan.steps.filter(step => rank(step) < reached)
  const doneNow = doneSteps.filter(step => rank(step) === reached)
  const rest = fresh.steps.filter(step => rank(step) === reached && !done.has(step.id) && isFiner(step, doneNow))
  return { ...fresh, steps: [...left, ...doneNow, ...rest, ...fresh.steps.filter(step => rank(step) > reached)] }
}

/** Whether a grit of a ladder is finer than all grits done in its phase; true for what is not one. */
function isFiner(step: Step, done: readonly Step[]): boolean {
  if (!isGrit(step) || step.phase === 'coat') return true
  return done.every(one => !isGrit(one) || grainOf(one.abrasive) > grainOf(step.abrasive))
}

/**
 * The plan with other wishes and all else as it was: its own shelf, air, method and rates. What no step follows from, a shape or an end
 * of one's own, leaves the steps as they stand.
 */
export function withWishes(plan: Plan, wishes: Wishes, done: ReadonlySet<string> = new Set()): Plan {
  return stepsFollow(wishes) === stepsFollow(plan.inputs.wishes)
    ? { ...plan, inputs: { ...plan.inputs, wishes } }
    : revisePlan(plan, { wishes }, done)
}

/** The wishes that steps follow from, as text to compare. */
function stepsFollow({ shapes: _, ends: __, beforehand: ___, ...rest }: Wishes): string {
  return JSON.stringify(Object.entries(rest).filter(([, value]) => value !== undefined).sort(([a], [b]) => (a < b ? -1 : 1)))
}
