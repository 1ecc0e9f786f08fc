import type { RepairOf, WorkStage } from '../../defects'
import { coatsNeeded, filmAfter, thinnest, type FilmStep } from '../../film'
import { productFor, type CoatProduct } from '../../shelf'
import { coatsOf, filmSteps } from '../make'
import {
  isKind,
  leastFilm,
  stepId,
  stepsBefore,
  stripsAll,
  type MendId,
  type Phase,
  type Plan,
  type Step,
  type StepId,
  type StepKind,
  type StepOf,
} from '../model'

/** A repair that was chosen. */
export type ChosenRepair = RepairOf & {
  /** Names its steps. */
  key: MendId
  /** The step that was under way then; null when none was left. */
  step: StepId | null
  /** The grit to go back to, where that was said. */
  from?: StepId
}

/** Where in a plan a mend is made, and on what. */
export interface Mend {
  /** The plan as it stands. */
  plan: Plan
  /** What is mended, and how. */
  repair: ChosenRepair
  /** The steps go in before this one. */
  at: number
  /** The phase of the work there. */
  phase: Phase
  /** What was planned before it on the barrels that go on, mends included. */
  before: readonly Step[]
  /** What is still to come there. */
  rest: readonly Step[]
}

/** How far a pen is when this step is under way; a pen with nothing left is together. */
export function stageAt(plan: Plan, underWay: StepId | null): WorkStage {
  const step = plan.steps.find(one => one.id === underWay)
  if (!step) return 'together'
  if (step.phase !== 'assemble') return step.phase
  const pressed = stepsBefore(plan, step).findLast(one => one.kind === 'assemble' || (one.kind === 'fix' && one.how === 'take apart'))
  return pressed?.kind === 'assemble' ? 'together' : 'ends'
}

/** The place of a repair in the plan. */
export function placeOf(plan: Plan, repair: ChosenRepair): Mend {
  const found = plan.steps.findIndex(step => step.id === repair.step)
  const at = found < 0 ? plan.steps.length : found
  return {
    plan,
    repair,
    at,
    phase: (plan.steps[at] ?? plan.steps.at(-1))?.phase ?? 'assemble',
    before: plan.steps.slice(0, at).filter(step => !step.apart),
    rest: plan.steps.slice(at).filter(step => !step.apart),
  }
}

/** What a new step of a kind says, before it is named and placed. */
type Said<K extends StepKind> = Omit<StepOf<K>, 'id' | 'phase' | 'barrels' | 'mend'>

/** A new step of this mend. */
export const newStep = <K extends StepKind>({ repair, phase }: Mend, work: StepId, step: Said<K> & { kind: K }): Step =>
  ({ ...step, id: stepId.ofMend(work, repair.key), phase, barrels: [repair.barrel], mend: repair.key }) as unknown as Step

/** These steps done again for this mend, the latest of each piece of work once. */
export function again(mend: Mend, steps: readonly Step[], change: { apart?: true, barrels?: Step['barrels'] } = {}): Step[] {
  const { repair, phase } = mend
  const latest = new Map(steps.map(step => [stepId.work(step), step]))
  return steps.filter(step => latest.get(stepId.work(step)) === step).map((step): Step => {
    const { mend: _, apart: __, ...work } = step
    return {
      ...work,
      id: stepId.ofMend(stepId.work(step), repair.key),
      phase,
      barrels: change.barrels ?? [repair.barrel],
      again: repair.defect,
      mend: repair.key,
      ...(change.apart ? { apart: true } : {}),
    }
  })
}

/** The last product of the plan that builds a film, or the thin CA of the shelf, which covers best. */
export const coverProduct = ({ inputs, steps }: Plan): CoatProduct | undefined =>
  productFor(inputs, 'thin CA') ?? steps.filter(isKind('coat')).findLast(step => step.product.film)?.product

/** So many coats more of a product; `bared` when they begin on wood that was laid bare at the place. */
export function moreCoats({ repair, phase, plan }: Mend, product: CoatProduct, count: number, bared: boolean): Step[] {
  return coatsOf(plan.inputs, product, count, { barrels: [repair.barrel], phase }).map((coat, index): Step => ({
    ...coat,
    id: stepId.ofMend(`cover.${index + 1}`, repair.key),
    mend: repair.key,
    ...(bared ? { mends: repair.key } : {}),
  }))
}

/** More coats than this on one place are no mend but a new finish. */
export const MOST_COVERS = 16

/** Coats that bring the film wanted back where the wood was laid bare, once all of `then` is done to it too. */
export function coverCount({ plan: { inputs } }: Mend, product: CoatProduct, then: readonly Step[]): number {
  const anywhere = { barrels: ['only' as const], phase: 'coat' as const }
  const film = (count: number) => filmSteps(inputs, [...coatsOf(inputs, product, count, anywhere), ...then])
  return coatsNeeded(leastFilm(inputs).value, film, 1, MOST_COVERS).coats
}

/** Fewest coats, none if it can be, after which these steps leave the film wanted, or as much as the plan left anyway. */
export function topUpCount(
  mend: Mend, product: CoatProduct, stepsWith: (coats: readonly Step[]) => readonly Step[], least = 0,
): number {
  const { plan: { inputs }, before, rest } = mend
  const left = (steps: readonly Step[]) => thinnest(filmAfter(standing(inputs, steps)))
  const wanted = Math.min(leastFilm(inputs).value, left([...before, ...rest]))
  const counts = Array.from({ length: MOST_COVERS - least }, (_, index) => least + index)
  const enough = counts.find(count => left([...before, ...stepsWith(moreCoats(mend, product, count, false)), ...rest]) >= wanted - 1e-9)
  return enough ?? MOST_COVERS
}

/** The film’s steps since it was last sanded off. */
const standing = (inputs: Plan['inputs'], steps: readonly Step[]): FilmStep[] =>
  filmSteps(inputs, steps.slice(steps.findLastIndex(stripsAll) + 1).filter(step => !step.apart))
