import { diameterAt } from '../../barrel'
import { repairs, type Defect, type OwnRecord, type Repair, type RepairRow, type RepairWay } from '../../defects'
import { hasFilm } from '../method'
import { productFor } from '../methods/products'
import type { Plan } from '../plan'
import { trace, type PlanTrace } from '../trace'
import { hasResin, isResin } from '../traits'
import { stageAt, type ChosenRepair } from './place'
import { endOfRepair, withRepairs } from './repaired'

/** A way to mend a defect with what it costs. Times in s, thicknesses in µm. */
export interface MendOption extends Repair {
  recommended: boolean
  /** Work and time until hand over that it adds. */
  handsOn: number
  span: number
  /** Wood that sanding takes off in addition; how much less film is left in the end at the thinnest place (below 0: more). */
  wood: number
  film: number
  /** Work to be expected when a mend that fails means a new barrel. */
  expected: number
  /** Names of the steps it puts in. */
  steps: string[]
}

/** What is known at the bench where a defect is to be mended. */
export interface MendSituation {
  defect: Pick<Defect, 'id' | 'kind' | 'barrel' | 'fromTip' | 'size'>
  /** The name its steps get. */
  key: string
  underWay: string | null
  /** Whether the barrel was turned to size already. */
  turned: boolean
  /** Ways that failed on it before. */
  tried: readonly RepairWay[]
  leftOut?: ReadonlySet<string>
}

/** What goes with the shavings needs no step of its own; and before anything is cut another piece is simply taken. */
const NEEDS_NO_STEPS: readonly RepairWay[] = ['turn it out', 'new blank', 'new pair']

/**
 * The ways to mend a defect here, each with its steps and costs. The recommended one, which comes first, has the least work to be expected: its own, and that of a new barrel as often as it fails. Ways that the shelf
 * or the place does not allow are not among them. Where a new barrel is the least work it is recommended.
 */
export function mendOptions(plan: Plan, rows: readonly RepairRow[], situation: MendSituation, record?: (way: RepairWay, kind: Defect['kind']) => OwnRecord): MendOption[] {
  const { defect, underWay, leftOut, tried } = situation
  const before = trace(plan, leftOut)
  const { inputs } = plan
  const fit = repairs(rows, defect, {
    stage: stageAt(plan, underWay),
    material: isResin(inputs.material) ? 'resin' : hasResin(inputs.material) ? 'both' : 'wood',
    hasCa: Boolean(productFor(inputs, 'thin CA') ?? productFor(inputs, 'medium CA')),
    film: hasFilm(inputs.method),
    coatsToCome: plan.steps.slice(plan.steps.findIndex(step => step.id === underWay)).some(step => step.kind === 'coat') && underWay !== null,
    twoBarrels: inputs.fitting.barrels.length > 1,
    toTurnOff: toTurnOff(plan, before, situation),
  }, record, tried)
  const found = fit.flatMap((one): Omit<MendOption, 'recommended' | 'expected'>[] => {
    const chosen: ChosenRepair = { defect: defect.id, kind: defect.kind, barrel: defect.barrel, fromTip: defect.fromTip, size: defect.size, way: one.way, key: situation.key, step: underWay }
    const mended = withRepairs(plan, [chosen])
    const steps = mended.steps.filter(step => step.mend === situation.key)
    if (!steps.length && !NEEDS_NO_STEPS.includes(one.way)) return []
    if (steps.length && !endOfRepair(mended, situation.key)) return []
    const after = trace(mended, leftOut)
    return [{
      ...one, steps: steps.map(step => step.id), handsOn: after.handsOn.value - before.handsOn.value, span: Math.max(0, after.untilHandOver.value - before.untilHandOver.value),
      wood: after.sandingTakes.value - before.sandingTakes.value, film: before.filmThinnest.value - after.filmThinnest.value,
    }]
  })
  const anew = found.find(one => one.way === 'new blank')?.handsOn ?? 0
  const weighed = found.map(one => ({ ...one, expected: one.handsOn + (1 - one.chance) * anew })).sort((a, b) => a.expected - b.expected)
  return weighed.map((one, index) => ({ ...one, recommended: index === 0 }))
}

/** Wood still to come off at the place of a defect, in depth, mm: all from the square until it is turned, nothing after. */
function toTurnOff(plan: Plan, traced: PlanTrace, { defect, turned }: MendSituation): number {
  const one = traced.size.barrels.find(each => each.barrel.id === defect.barrel)
  if (turned || !one) return 0
  const section = plan.inputs.blank?.width ?? one.section.side.value
  return Math.max(0, (section - diameterAt(one.finished, defect.fromTip)) / 2)
}
