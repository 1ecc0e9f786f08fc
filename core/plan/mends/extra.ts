import { coatsOf } from '../methods/coats'
import type { Plan, Step } from '../plan'

/** A coat that went on beside the plan: of which product, and the step that was under way. */
export interface ExtraCoat {
  key: string
  product: string
  step: string | null
}

/** The id of the step that such a coat becomes. */
export const extraCoatId = (key: string): string => `more.${key}`

/** The plan with a coat more, before the step that was under way. A product that is nowhere in the plan or on its shelf adds none. */
export function withExtraCoat(plan: Plan, { key, product: id, step }: ExtraCoat): Plan {
  const planned = plan.steps.flatMap(one => one.kind === 'coat' && one.product.id === id ? [one] : []).at(-1)
  const product = planned?.product ?? plan.inputs.shelf.products.find(one => one.id === id)
  if (!product || plan.steps.some(one => one.id === extraCoatId(key))) return plan
  const found = plan.steps.findIndex(one => one.id === step)
  const at = found < 0 ? plan.steps.length : found
  const [coat] = coatsOf(plan.inputs, product, 1, { barrels: plan.inputs.fitting.barrels.map(one => one.id), phase: plan.steps[at]?.phase ?? 'assemble' })
  const more: Step = { ...coat!, ...(planned ? { accelerated: planned.accelerated, speed: planned.speed, applicator: planned.applicator } : {}), id: extraCoatId(key), mend: key, gate: { purpose: 'next coat', since: 'coat' } }
  return { ...plan, steps: [...plan.steps.slice(0, at), more, ...plan.steps.slice(at)] }
}
