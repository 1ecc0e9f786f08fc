import type { RepairOf } from '../defects'
import { coatsNeeded } from '../film'
import type { Product } from './inputs'
import { coatsOf, type CoatStep } from './methods/coats'
import { filmSteps } from './methods/levelling'
import { productFor } from './methods/products'
import { leastFilm } from './targets'
import { phases, type Plan, type Step } from './plan'

/** A repair that was chosen, and the step that was under way then (null: none was left). */
export type ChosenRepair = RepairOf & { step: string | null }

const beforeLadder = (step: Step): boolean => phases.indexOf(step.phase) < phases.indexOf('sand')

/**
 * The plan with the steps of the repairs that were chosen: a fill and its turning flush come right before the first grit, a new blank does again, for its one barrel,
 * what was done before the step under way, and more coats cover a sand-through before it is levelled again. The same repairs always give the same steps; one that cannot be placed (no CA on the shelf, found later) adds none.
 */
export function withRepairs(plan: Plan, chosen: readonly ChosenRepair[]): Plan {
  return chosen.reduce((now, repair) => repair.way === 'new blank' ? withNewBlank(now, repair) : repair.way === 'more coats' ? withMoreCoats(now, repair) : withFill(now, repair), plan)
}

/** The last step of a repair: when it is done, the defect is mended. Of a sand-through the levelling after its coats. */
export function endOfRepair(plan: Plan, defect: string): Step | undefined {
  const cover = plan.steps.findLastIndex(step => step.kind === 'coat' && step.mends === defect)
  if (cover >= 0) return plan.steps.slice(cover).find(step => step.kind === 'level') ?? plan.steps[cover]
  return plan.steps.findLast(step => step.again === defect || (step.kind === 'flush' && step.repair.defect === defect))
}

/** What covers a sand-through: the thin CA of the shelf, else the plan's last product that builds a film. */
const coverOf = (plan: Plan): Product | undefined =>
  productFor(plan.inputs, 'thin CA') ?? plan.steps.findLast((step): step is CoatStep => step.kind === 'coat' && Boolean(step.product.film))?.product

/** Where the covering coats of a sand-through go in: before the step under way, after which it is levelled again if that was done already. */
function coverPlace(plan: Plan, underWay: string | null): { at: number, again: Step[] } {
  const found = plan.steps.findIndex(step => step.id === underWay)
  const assemble = plan.steps.findIndex(step => step.phase === 'assemble')
  const at = found >= 0 && (assemble < 0 || found <= assemble) ? found : Math.max(0, assemble)
  const level = plan.steps.slice(0, at + 1).findLastIndex(step => step.kind === 'level')
  const again = level < 0 || level === at ? [] : plan.steps.slice(level, at).filter(step => step.kind === 'level' || step.kind === 'smooth')
  return { at, again }
}

/** The coats that bring back the film wanted where it was sanded through down to the wood, with all that is still to come; and whether planned coats are among it. Undefined when nothing builds a film. */
export function coverFor(plan: Plan, underWay: string | null): { coats: number, product: Product, early: boolean } | undefined {
  const product = coverOf(plan)
  if (!product) return undefined
  const { at, again } = coverPlace(plan, underWay)
  const rest = plan.steps.slice(at)
  const steps = (count: number) => filmSteps(plan.inputs, [...coatsOf(plan.inputs, product, count, { barrels: ['only'], phase: 'coat' }), ...again, ...rest])
  return { coats: coatsNeeded(leastFilm(plan.inputs).value, steps, 1, MOST_COVERS).coats, product, early: rest.some(step => step.kind === 'coat') }
}

/** More coats than this on one place are no mend but a new finish. */
const MOST_COVERS = 16

function withMoreCoats(plan: Plan, { defect, barrel, step: underWay }: ChosenRepair): Plan {
  const cover = coverFor(plan, underWay)
  if (!cover) return plan
  const { at, again } = coverPlace(plan, underWay)
  const phase = plan.steps[at]?.phase === 'coat' ? 'coat' : 'level'
  const barrels = [barrel]
  const coats = coatsOf(plan.inputs, cover.product, cover.coats, { barrels, phase }).map((coat, index): Step => ({ ...coat, id: `cover.${index + 1}.${defect}`, mends: defect }))
  return insert(plan, at, [...coats, ...again.map((step): Step => ({ ...step, id: `${step.id}.${defect}`, phase, barrels, again: defect }))])
}

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
