import type { RepairOf, WorkStage } from '../../defects'
import { coatsNeeded, filmAfter, thinnest, type FilmStep } from '../../film'
import type { Product } from '../inputs'
import { coatsOf, type CoatStep } from '../methods/coats'
import { filmSteps } from '../methods/levelling'
import { productFor } from '../methods/products'
import type { Phase, Plan, Step } from '../plan'
import { leastFilm } from '../targets'

/** A repair that was chosen: `key` names its steps, `step` was under way then (null: none was left), `from` is the grit to go back to where that was said. */
export type ChosenRepair = RepairOf & { key: string, step: string | null, from?: string }

/** Where in a plan a mend is made, and on what. */
export interface Mend {
  plan: Plan
  repair: ChosenRepair
  /** The steps go in before this one. */
  at: number
  phase: Phase
  /** What was planned before it on the barrels that go on, mends included. */
  before: readonly Step[]
  rest: readonly Step[]
}

/** How far a pen is when this step is under way; a pen with nothing left is together. */
export function stageAt(plan: Plan, underWay: string | null): WorkStage {
  const step = plan.steps.find(one => one.id === underWay)
  if (!step) return 'together'
  if (step.phase !== 'assemble') return step.phase
  const pressed = plan.steps.slice(0, plan.steps.indexOf(step)).findLast(one => one.kind === 'assemble' || (one.kind === 'fix' && one.how === 'take apart'))
  return pressed?.kind === 'assemble' ? 'together' : 'ends'
}

/** The place of a repair in the plan. */
export function placeOf(plan: Plan, repair: ChosenRepair): Mend {
  const found = plan.steps.findIndex(step => step.id === repair.step)
  const at = found < 0 ? plan.steps.length : found
  return { plan, repair, at, phase: (plan.steps[at] ?? plan.steps.at(-1))?.phase ?? 'assemble', before: plan.steps.slice(0, at).filter(step => !step.apart), rest: plan.steps.slice(at).filter(step => !step.apart) }
}

/** The id a step had before any mend did it again. */
const firstId = (step: Step): string => step.mend ? step.id.slice(0, -(step.mend.length + 1)) : step.id

/** A new step of this mend. */
export const newStep = <T extends object>({ repair, phase }: Mend, id: string, step: T) =>
  ({ ...step, id: `${id}.${repair.key}`, phase, barrels: [repair.barrel], mend: repair.key })

/** These steps done again for this mend, the latest of each piece of work once. */
export function again(mend: Mend, steps: readonly Step[], change: { apart?: true, barrels?: Step['barrels'] } = {}): Step[] {
  const latest = new Map(steps.map(step => [firstId(step), step]))
  const barrels = change.barrels ?? [mend.repair.barrel]
  return steps.filter(step => latest.get(firstId(step)) === step).map((step): Step => {
    const { mend: _, apart: __, ...work } = step
    return { ...work, id: `${firstId(step)}.${mend.repair.key}`, phase: mend.phase, barrels, again: mend.repair.defect, mend: mend.repair.key, ...(change.apart ? { apart: true as const } : {}) } as Step
  })
}

/** The last product of the plan that builds a film, or the thin CA of the shelf, which covers best. */
export const coverProduct = (plan: Plan): Product | undefined =>
  productFor(plan.inputs, 'thin CA') ?? plan.steps.findLast((step): step is CoatStep => step.kind === 'coat' && Boolean(step.product.film))?.product

/** So many coats more of a product; `bared` when they begin on wood that was laid bare at the place. */
export function moreCoats(mend: Mend, product: Product, count: number, bared: boolean): Step[] {
  const { repair, phase, plan } = mend
  return coatsOf(plan.inputs, product, count, { barrels: [repair.barrel], phase })
    .map((coat, index): Step => ({ ...coat, id: `cover.${index + 1}.${repair.key}`, mend: repair.key, ...(bared ? { mends: repair.key } : {}) }))
}

/** More coats than this on one place are no mend but a new finish. */
export const MOST_COVERS = 16

/** Coats that bring the film wanted back where the wood was laid bare, once all of `then` is done to it too. */
export const coverCount = ({ plan: { inputs } }: Mend, product: Product, then: readonly Step[]): number =>
  coatsNeeded(leastFilm(inputs).value, count => filmSteps(inputs, [...coatsOf(inputs, product, count, { barrels: ['only'], phase: 'coat' }), ...then]), 1, MOST_COVERS).coats

/** Fewest coats, none if it can be, after which these steps leave the film wanted, or as much as the plan left anyway. */
export function topUpCount(mend: Mend, product: Product, stepsWith: (coats: readonly Step[]) => readonly Step[], least = 0): number {
  const { inputs } = mend.plan
  const left = (steps: readonly Step[]) => thinnest(filmAfter(standing(inputs, steps)))
  const wanted = Math.min(leastFilm(inputs).value, left([...mend.before, ...mend.rest]))
  for (let count = least; count < MOST_COVERS; count++) {
    if (left([...mend.before, ...stepsWith(moreCoats(mend, product, count, false)), ...mend.rest]) >= wanted - 1e-9) return count
  }
  return MOST_COVERS
}

/** The film’s steps since it was last sanded off. */
function standing(inputs: Plan['inputs'], steps: readonly Step[]): FilmStep[] {
  const last = steps.findLastIndex(step => step.kind === 'sand back' && step.whole)
  return filmSteps(inputs, steps.slice(last + 1).filter(step => !step.apart))
}
