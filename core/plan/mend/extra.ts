import { stepId, type Extra, type MendId, type Plan, type Step, type StepId } from '../model'
import { extraMakers, isExtra, onceEach } from './extra-works'

/** What the log says of the plan's own steps where something beside it is put in. */
export interface Beside {
  /** Steps that are done or left out. */
  settled?: ReadonlySet<StepId>
  /** Those left out. */
  leftOut?: ReadonlySet<StepId>
}

/**
 * The plan with what was done beside it, before the step that was under way, and what has to be done again after it: a coarser grit
 * leaves scratches that the finer ones after it had taken out, and a coat that was wiped off has to go on once more. What is nowhere on
 * the plan's shelf, and does not come with the entry, adds nothing; told twice it is there once. Where the step that was under way is not
 * in the plan any more, it goes after the last one that is settled.
 */
export function withExtra(plan: Plan, { key, work, with: what, item, step }: Extra, { settled, leftOut }: Beside = {}): Plan {
  if (plan.steps.some(one => one.mend === key)) return plan
  const at = placeIn(plan, step, settled)
  const before = plan.steps.slice(0, at).filter(one => !one.apart && !leftOut?.has(one.id))
  const phase = (plan.steps[at] ?? plan.steps.at(-1))?.phase ?? 'assemble'
  const barrels = plan.inputs.fitting.barrels.map(one => one.id)
  const made = extraMakers[work]({ plan, before, phase, what, ...(item ? { item } : {}) })
  if (!made) return plan
  const common = { phase, barrels, mend: key }
  const done = made.done.map((one, index): Step => ({ ...one, ...common, id: stepId.ofMend('more', key, index + 1) }) as Step)
  const again = onceEach(made.again).map((one): Step => ({ ...one, ...common, id: stepId.ofMend(stepId.work(one), key), again: key }))
  return { ...plan, steps: [...plan.steps.slice(0, at), ...done, ...again, ...plan.steps.slice(at)] }
}

/** Whether a step is what such an entry says was done, and not what has to be done again because of it. */
export const isExtraDone = (step: Step, key: MendId): boolean => step.mend === key && isExtra(step)

function placeIn({ steps }: Plan, step: StepId | null, settled?: ReadonlySet<StepId>): number {
  const found = steps.findIndex(one => one.id === step)
  if (found >= 0) return found
  return step !== null && settled ? steps.findLastIndex(one => settled.has(one.id)) + 1 : steps.length
}

/** The plan with what the turner puts into it beforehand. What is there already stays as it is. */
export const withBeforehand = (plan: Plan, beside: Beside = {}): Plan =>
  (plan.inputs.wishes.beforehand ?? []).reduce((now, extra) => withExtra(now, extra, beside), plan)
