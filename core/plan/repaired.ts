import type { RepairOf } from '../defects'
import { productFor } from './methods/ca-film'
import { phases, type Plan, type Step } from './plan'

/** A repair that was chosen, and the step that was under way then (null: none was left). */
export type ChosenRepair = RepairOf & { step: string | null }

const beforeLadder = (step: Step): boolean => phases.indexOf(step.phase) < phases.indexOf('sand')

/**
 * The plan with the steps of the repairs that were chosen before the ladder: a fill and its turning flush come right before the first grit, and a new blank does again, for its one barrel,
 * what was done before the step under way. The same repairs always give the same steps; one that cannot be placed (no CA on the shelf, found later) adds none.
 */
export function withRepairs(plan: Plan, chosen: readonly ChosenRepair[]): Plan {
  return chosen.reduce((now, repair) => repair.way === 'new blank' ? withNewBlank(now, repair) : withFill(now, repair), plan)
}

/** The last step of a repair: when it is done, the defect is mended. */
export const endOfRepair = (plan: Plan, defect: string): Step | undefined =>
  plan.steps.findLast(step => step.again === defect || (step.kind === 'flush' && step.repair.defect === defect))

function withFill(plan: Plan, { step: _, ...repair }: ChosenRepair): Plan {
  const product = productFor(plan.inputs, 'thin CA') ?? productFor(plan.inputs, 'medium CA')
  if (repair.way === 'turn it out' || !product) return plan
  const accelerated = repair.way === 'shavings and CA' && Boolean(productFor(plan.inputs, 'accelerator'))
  const barrels = [repair.barrel]
  const steps: Step[] = [
    { id: `fill.${repair.defect}`, phase: 'turn', kind: 'fill', barrels, product, accelerated, repair },
    { id: `flush.${repair.defect}`, phase: 'turn', kind: 'flush', barrels, repair, gate: { purpose: 'sand', since: 'fill' } },
  ]
  const ladder = plan.steps.findIndex(step => !beforeLadder(step))
  return insert(plan, ladder < 0 ? plan.steps.length : ladder, steps)
}

function withNewBlank(plan: Plan, { defect, barrel, step: underWay }: ChosenRepair): Plan {
  const found = plan.steps.findIndex(step => step.id === underWay)
  const ladder = plan.steps.findIndex(step => !beforeLadder(step))
  const at = found >= 0 ? Math.min(found, ladder < 0 ? found : ladder) : Math.max(ladder, 0)
  const phase = plan.steps[at]?.phase === 'blank' ? 'blank' : 'turn'
  const steps = plan.steps.slice(0, at)
    .filter(step => ['cut', 'drill', 'tube', 'square', 'turn'].includes(step.kind) && !step.again)
    .map((step): Step => ({ ...step, id: `${step.id}.${defect}`, phase, barrels: [barrel], again: defect }))
  return insert(plan, at, steps)
}

/** The plan with these steps at a place; a plan that has them already stays as it is. */
function insert(plan: Plan, at: number, steps: readonly Step[]): Plan {
  const there = new Set(plan.steps.map(step => step.id))
  return steps.some(step => there.has(step.id)) ? plan : { ...plan, steps: [...plan.steps.slice(0, at), ...steps, ...plan.steps.slice(at)] }
}
