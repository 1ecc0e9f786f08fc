import { diameterAt } from '../../barrel'
import {
  repairs,
  type Defect,
  type DefectKind,
  type OwnRecord,
  type Repair,
  type RepairPlace,
  type RepairRow,
  type RepairWay,
} from '../../defects'
import { hasFilm } from '../../method'
import { hasResin, isResin, productFor } from '../../shelf'
import type { MendId, Plan, StepId } from '../model'
import { trace, type PlanTrace } from '../trace'
import { stageAt } from './place'
import { endOfRepair, withRepairs } from './repaired'

/** A way to mend a defect with what it costs. */
export interface MendOption extends Repair {
  /** It comes first. */
  recommended: boolean
  /** The plan with its steps in it. */
  mended: Plan
  /** What follows from that plan. */
  after: PlanTrace
  /** Work that it adds, s. */
  handsOn: number
  /** Time until hand over that it adds, s. */
  span: number
  /** Wood that sanding takes off in addition, µm. */
  wood: number
  /** How much less film is left in the end at the thinnest place, µm; below 0: more. */
  film: number
  /** Work to be expected when a mend that fails means a new barrel, s. */
  expected: number
}

/** What is known at the bench where a defect is to be mended. */
export interface MendSituation {
  /** What is to be mended. */
  defect: Pick<Defect, 'id' | 'kind' | 'barrel' | 'fromTip' | 'size'>
  /** The name its steps get. */
  key: MendId
  /** The step under way; null when none is left. */
  underWay: StepId | null
  /** Whether the barrel was turned to size already. */
  turned: boolean
  /** Ways that failed on it before. */
  tried: readonly RepairWay[]
  /** Steps that were skipped. */
  leftOut?: ReadonlySet<StepId>
}

/** What goes with the shavings needs no step of its own; and before anything is cut another piece is simply taken. */
const NEEDS_NO_STEPS: readonly RepairWay[] = ['turn it out', 'new blank', 'new pair']

/**
 * The ways to mend a defect here, each with its steps and costs. The recommended one, which comes first, has the least work to be
 * expected: its own, and that of a new barrel as often as it fails. Ways that the shelf or the place does not allow are not among them.
 * Where a new barrel is the least work it is recommended.
 */
export function mendOptions(
  plan: Plan,
  rows: readonly RepairRow[],
  situation: MendSituation,
  record?: (way: RepairWay, kind: DefectKind) => OwnRecord,
): MendOption[] {
  const before = trace(plan, situation.leftOut)
  const fit = repairs(rows, situation.defect, placeFor(plan, before, situation), record, situation.tried)
  const found = fit.flatMap(one => costed(plan, before, situation, one) ?? [])
  const anew = found.find(one => one.way === 'new blank')?.handsOn ?? 0
  return found
    .map(one => ({ ...one, expected: one.handsOn + (1 - one.chance) * anew }))
    .sort((a, b) => a.expected - b.expected)
    .map((one, index) => ({ ...one, recommended: index === 0 }))
}

/** What the table of repairs asks about the place. */
function placeFor(plan: Plan, before: PlanTrace, situation: MendSituation): RepairPlace {
  const { inputs, steps } = plan
  const at = steps.findIndex(step => step.id === situation.underWay)
  return {
    stage: stageAt(plan, situation.underWay),
    material: isResin(inputs.material) ? 'resin' : hasResin(inputs.material) ? 'both' : 'wood',
    hasCa: Boolean(productFor(inputs, 'thin CA') ?? productFor(inputs, 'medium CA')),
    film: hasFilm(inputs.method),
    coatsToCome: at >= 0 && steps.slice(at).some(step => step.kind === 'coat'),
    twoBarrels: inputs.fitting.barrels.length > 1,
    toTurnOff: toTurnOff(plan, before, situation),
  }
}

/** A way with what it costs: the difference of two traces, with and without it. Undefined where it cannot be done. */
function costed(
  plan: Plan,
  before: PlanTrace,
  { defect, key, underWay, leftOut }: MendSituation,
  repair: Repair,
): Omit<MendOption, 'recommended' | 'expected'> | undefined {
  const { id, ...place } = defect
  const mended = withRepairs(plan, [{ ...place, defect: id, way: repair.way, key, step: underWay }])
  const has = mended.steps.some(step => step.mend === key)
  if (has ? !endOfRepair(mended, key) : !NEEDS_NO_STEPS.includes(repair.way)) return undefined
  const after = trace(mended, leftOut)
  return {
    ...repair,
    mended,
    after,
    handsOn: after.handsOn.value - before.handsOn.value,
    span: Math.max(0, after.untilHandOver.value - before.untilHandOver.value),
    wood: after.sandingTakes.value - before.sandingTakes.value,
    film: before.filmThinnest.value - after.filmThinnest.value,
  }
}

/** Wood still to come off at the place of a defect, in depth, mm: all from the square until it is turned, nothing after. */
function toTurnOff(plan: Plan, traced: PlanTrace, { defect, turned }: MendSituation): number {
  const one = traced.size.barrels.find(each => each.barrel.id === defect.barrel)
  if (turned || !one) return 0
  const section = plan.inputs.blank?.width ?? one.section.side.value
  return Math.max(0, (section - diameterAt(one.finished, defect.fromTip)) / 2)
}
