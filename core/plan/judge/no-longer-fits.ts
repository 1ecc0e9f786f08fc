import { bitOf, ends, metalAt, type Barrel, type Fitting } from '../../barrel'
import type { Plan, PlanInputs, Step, StepId } from '../model'

/** What of a pen is chosen otherwise. */
export type OtherPen = Partial<Pick<PlanInputs, 'fitting' | 'material' | 'blank'>>

/** A step that is done and does not hold any more. */
export interface UnfitStep {
  /** Which. */
  step: StepId
  /** Why, in one sentence; of what only follows from another step the same as there. */
  why: string
}

/** Lengths and diameters nearer than this are the same, mm: no calliper tells them apart. */
const SAME = 0.005
const differ = (a: number, b: number): boolean => Math.abs(a - b) > SAME

/**
 * Steps of a plan that are done and no longer fit when another fitting, material or blank is chosen, in their order: a hole of another
 * bit is no hole for these tubes, wood that was turned away cannot be put back, another stick has nothing of it done. From the first of
 * them on all that was done stands on it; the parts alone are checked by themselves. `mm` writes a length.
 */
export function noLongerFits(plan: Plan, other: OtherPen, done: ReadonlySet<StepId>, mm: (value: number) => string): UnfitStep[] {
  const { inputs, steps } = plan
  const kept = steps.filter(step => done.has(step.id))
  const reasons = new Map<Step['kind'], string>()
  /** The first reason of a kind of step is told. */
  const because = (kind: Step['kind'], why: string) => reasons.has(kind) || reasons.set(kind, why)
  if (other.fitting) fittingReasons(inputs.fitting, other.fitting, because, mm)
  if (other.material && other.material.id !== inputs.material.id)
    because('cut', `This stick is ${inputs.material.name}, not ${other.material.name}.`)
  else if (other.blank && inputs.blank && other.blank.id !== inputs.blank.id) because('cut', 'Another blank has to be cut first.')
  const parts = reasons.get('parts')
  const first = kept.findIndex(step => step.kind !== 'parts' && reasons.has(step.kind))
  let why = ''
  return kept.flatMap((step, index): UnfitStep[] => {
    if (step.kind === 'parts') return parts ? [{ step: step.id, why: parts }] : []
    if (first < 0 || index < first) return []
    why = reasons.get(step.kind) ?? why
    return [{ step: step.id, why }]
  })
}

function fittingReasons(
  before: Fitting, now: Fitting, because: (kind: Step['kind'], why: string) => unknown, mm: (value: number) => string,
): void {
  if (before.id !== now.id) because('parts', `The parts of ${now.name} were not checked.`)
  if (before.barrels.map(one => one.id).join() !== now.barrels.map(one => one.id).join()) {
    because('cut', `${before.barrels.length === 1 ? 'One stick was' : 'Two sticks were'} cut, for another kind of pen.`)
    return
  }
  for (const barrel of now.barrels) {
    const old = before.barrels.find(one => one.id === barrel.id)
    if (old) barrelReasons(before, old, now, barrel, because, mm)
  }
}

function barrelReasons(
  before: Fitting, old: Barrel, now: Fitting, barrel: Barrel, because: (kind: Step['kind'], why: string) => unknown,
  mm: (value: number) => string,
): void {
  const [had, wants] = [bitOf(before, old), bitOf(now, barrel)]
  if (barrel.tubeLength > old.tubeLength + SAME)
    because('cut', `It was cut for a tube of ${mm(old.tubeLength)}; this one is ${mm(barrel.tubeLength)}.`)
  // A hole can be made wider, never narrower.
  if (differ(had, wants)) because(wants < had ? 'cut' : 'drill', `The hole is ${mm(had)}; this tube wants ${mm(wants)}.`)
  if (differ(old.tubeOuter, barrel.tubeOuter) || differ(old.tubeLength, barrel.tubeLength)) because('tube', 'Another tube is in it.')
  for (const end of ends) {
    const [was, is] = [metalAt(old, end), metalAt(barrel, end)]
    if (is > was + SAME) because('turn', `The ${end} end is turned to ${mm(was)}; the metal there is ${mm(is)}: that needs a new barrel.`)
    else if (differ(was, is)) because('turn', `The ${end} end is turned to ${mm(was)}; the metal there is ${mm(is)}.`)
  }
}
