import { stepId, type MendId, type Plan, type Step } from '../model'

/**
 * The plan of a pen that came back to be mended: it is looked over and handed over once more at its end, so that it is open again; what
 * is wrong with it is noted and mended as at the bench. Told twice it is there once.
 */
export function withReturned(plan: Plan, key: MendId): Plan {
  const last = plan.steps.findLast(step => step.kind === 'check')
  if (!last || plan.steps.some(step => step.mend === key)) return plan
  const { gate: _, ...over } = last
  const again: Step = { ...over, id: stepId.ofMend(stepId.work(last), key), mend: key, again: key }
  return { ...plan, steps: [...plan.steps, again] }
}
