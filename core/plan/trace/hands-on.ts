import { abrasiveName } from '../../abrasives'
import { given, worked, type Figure } from '../../figures'
import { capacityPart, type WorkedGrit } from '../../sanding'
import type { CoatRole } from '../../shelf'
import { gritOverhead, isGrit, stepNature, type GritStep, type Step } from '../model'
import type { GritTrace } from './grit'

const MODEL = { mark: 'model' as const, note: 'starting value' }

/** One coat, s for the pen: what is worked in, warmed or wiped takes longer than a quick stroke of CA [model]. */
const COAT_SECONDS: Record<CoatRole, number> = {
  'thin CA': 15,
  'medium CA': 15,
  'thick CA': 15,
  'sanding sealer': 45,
  'friction polish': 60,
  'carnauba wax': 45,
  'melamine lacquer': 45,
  'wood conditioner': 45,
  'shellac wax': 45,
  'wipe-on finish': 60,
  'finishing oil': 60,
  'hard wax': 60,
  'spray lacquer': 30,
}

/** Time with hands on a step, s: of a grit as it is worked, of all else as is usual. */
export function handsOnTime(step: Step, grit: { shown: GritTrace, worked: WorkedGrit } | undefined): Figure {
  if (grit && isGrit(step)) return gritTime(step, grit)
  if (step.kind === 'coat') return given(`hands on, ${step.kind}, for each pen`, COAT_SECONDS[step.product.role], 's', MODEL)
  const { handsOn } = stepNature[step.kind]
  if (typeof handsOn === 'string') throw new TypeError(`A step of the kind ${step.kind} has no usual time.`)
  const one = given(`hands on, ${step.kind}, for each ${handsOn.per}`, handsOn.each, 's', MODEL)
  if (handsOn.per === 'pen') return one
  const barrels = given('barrels', step.barrels.length, '')
  return worked(`hands on, ${step.kind}`, one.value * barrels.value, 's', 'time for each barrel × barrels', [one, barrels])
}

function gritTime(step: GritStep, { shown, worked: done }: { shown: GritTrace, worked: WorkedGrit }): Figure {
  const name = abrasiveName(step.abrasive)
  const sanding = worked(`sanding with ${name}`, done.seconds, 's', '−τ · ln(1 − depth / capacity), τ 15 s at 40 m/min', [
    shown.removes,
    capacityPart(done.rung.pass.medium),
    shown.grain,
    shown.speed,
  ])
  const changes = done.pieces * gritOverhead.value
  return worked(`time for ${name}`, done.seconds + changes, 's', 'sanding + change for each piece', [sanding, gritOverhead])
}
