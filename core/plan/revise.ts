import { grainSize } from '../abrasives'
import { scratchLeft } from '../sanding'
import type { PlanInputs } from './inputs'
import { passOf } from './ladder'
import { makePlan } from './make'
import { phases, type Plan, type Step } from './plan'
import { mediumOf, sandSpeed } from './traits'

const rank = (step: Step): number => phases.indexOf(step.phase)

/**
 * The plan made anew for changed inputs, with what is done kept. Steps of phases already left stay as they were; in the phase that is under
 * way, what was done stays and only finer grits or further coats follow; later phases are worked out afresh. With nothing done it is a new plan.
 */
export function revisePlan(plan: Plan, change: Partial<PlanInputs>, done: ReadonlySet<string> = new Set()): Plan {
  const inputs = { ...plan.inputs, ...change }
  const doneSteps = plan.steps.filter(step => done.has(step.id))
  if (!doneSteps.length) return makePlan(inputs)

  const reached = Math.max(...doneSteps.map(rank))
  const lastGrit = doneSteps.findLast(step => step.kind === 'sand')
  const from = lastGrit?.kind === 'sand'
    ? scratchLeft(passOf(lastGrit.abrasive, mediumOf(inputs.material), inputs.fitting, sandSpeed(inputs).value))
    : undefined
  const fresh = makePlan(inputs, from)
  const left = plan.steps.filter(step => rank(step) < reached)
  const doneNow = doneSteps.filter(step => rank(step) === reached)
  const rest = fresh.steps.filter(step => rank(step) === reached && !done.has(step.id) && isFiner(step, doneNow))
  return { ...fresh, steps: [...left, ...doneNow, ...rest, ...fresh.steps.filter(step => rank(step) > reached)] }
}

/** Whether a grit of a ladder is finer than all grits done in its phase; true for what is not one. */
function isFiner(step: Step, done: readonly Step[]): boolean {
  if (!('abrasive' in step) || step.phase === 'coat') return true
  const grain = grainSize(step.abrasive.scale, step.abrasive.mark)
  return done.every(one => !('abrasive' in one) || grainSize(one.abrasive.scale, one.abrasive.mark) > grain)
}
