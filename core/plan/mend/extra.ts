import { isCoatProduct, type CoatProduct } from '../../shelf'
import { coatsOf } from '../make'
import { isKind, stepId, type MendId, type Plan, type Step, type StepId } from '../model'

/** A coat that went on beside the plan. */
export interface ExtraCoat {
  /** The entry that says so, which names it. */
  key: MendId
  /** Of which product, by its id. */
  product: string
  /** The step that was under way; null when none was left. */
  step: StepId | null
}

/** The id of the step that such a coat becomes. */
export const extraCoatId = (key: MendId): StepId => stepId.ofMend('more', key)

/** The plan with a coat more, before the step that was under way. A product that is nowhere in the plan or on its shelf adds none. */
export function withExtraCoat(plan: Plan, { key, product: id, step }: ExtraCoat): Plan {
  const planned = plan.steps.filter(isKind('coat')).findLast(one => one.product.id === id)
  const product = planned?.product ?? coatProductOf(plan, id)
  if (!product || plan.steps.some(one => one.id === extraCoatId(key))) return plan
  const found = plan.steps.findIndex(one => one.id === step)
  const at = found < 0 ? plan.steps.length : found
  const where = { barrels: plan.inputs.fitting.barrels.map(one => one.id), phase: plan.steps[at]?.phase ?? 'assemble' }
  const likePlanned = planned ? { accelerated: planned.accelerated, speed: planned.speed, applicator: planned.applicator } : {}
  const more = coatsOf(plan.inputs, product, 1, where).map((coat): Step => ({
    ...coat,
    ...likePlanned,
    id: extraCoatId(key),
    mend: key,
    gate: { purpose: 'next coat', since: 'coat' },
  }))
  return { ...plan, steps: [...plan.steps.slice(0, at), ...more, ...plan.steps.slice(at)] }
}

const coatProductOf = ({ inputs: { shelf } }: Plan, id: string): CoatProduct | undefined =>
  shelf.products.filter(isCoatProduct).find(one => one.id === id)
