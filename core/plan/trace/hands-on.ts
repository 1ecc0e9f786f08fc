import { abrasiveName } from '../../abrasives'
import { given, worked, type Figure } from '../../figures'
import { capacity, capacityPart, fresh, grainPart, TAU, timeConstant, type Pass, type WorkedGrit } from '../../sanding'
import type { CoatRole } from '../../shelf'
import { isGrit, overheadOf, stepNature, type GritStep, type PlanInputs, type Step } from '../model'
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
export function handsOnTime(inputs: PlanInputs, step: Step, grit: { shown: GritTrace, worked: WorkedGrit } | undefined): Figure {
  if (grit && isGrit(step)) return gritTime(inputs, step, grit)
  if (step.kind === 'coat') return given(`hands on, ${step.kind}, for each pen`, COAT_SECONDS[step.product.role], 's', MODEL)
  const { handsOn } = stepNature[step.kind]
  if (typeof handsOn === 'string') throw new TypeError(`A step of the kind ${step.kind} has no usual time.`)
  const one = given(`hands on, ${step.kind}, for each ${handsOn.per}`, handsOn.each, 's', MODEL)
  if (handsOn.per === 'pen') return one
  const barrels = given('barrels', step.barrels.length, '')
  return worked(`hands on, ${step.kind}`, one.value * barrels.value, 's', 'time for each barrel × barrels', [one, barrels])
}

function gritTime(inputs: PlanInputs, step: GritStep, { shown, worked: done }: { shown: GritTrace, worked: WorkedGrit }): Figure {
  const name = abrasiveName(step.abrasive)
  const sanding = step.kind === 'cut back'
    ? given('a few strokes', done.seconds, 's', MODEL)
    : worked(`sanding with ${name}`, done.seconds, 's', timeNote(done), timeFrom(shown, done))
  const overhead = overheadOf(inputs, step.abrasive)
  const value = done.seconds + done.pieces * overhead.value
  return worked(`time for ${name}`, value, 's', 'sanding + change × pieces', [sanding, overhead, given('pieces', done.pieces, '')])
}

const timeNote = ({ pieces }: WorkedGrit): string =>
  pieces > 1
    ? 'τ · ln(what it can take / what is left in it) of every piece; left in each is (what all can take − taken off) / pieces, '
    + 'and a piece that is duller than that is put down at once'
    : 'τ · ln(what the piece can take / (that − taken off))'

/** What the time on the paper follows from: the depth, what the pieces can take, and how fast they get there. */
function timeFrom({ removes, grain, speed }: GritTrace, { rung: { pass }, pieces }: WorkedGrit): Figure[] {
  return [
    removes,
    timeConstantOf(pass, grain, speed),
    pieceCan(pass, grain),
    ...(pieces > 1 ? [pieceCan(fresh(pass), grain), given('pieces', pieces, '')] : []),
  ]
}

/** What one piece takes off before it is dull: grain × part × what is left of it × the turner’s own. */
function pieceCan(pass: Pass, grain: Figure): Figure {
  const { own, pad, worn = 0 } = pass
  const isWorn = worn > 0 && !pad
  const factors = [
    grain,
    capacityPart(pass.medium, pad),
    ...(isWorn ? [given('left of the piece in hand', 1 - worn, '×')] : []),
    ...(own ? [{ ...given('your own capacity', own.capacity, '×'), ...LEARNT }] : []),
  ]
  return worked(`what ${isWorn ? 'the piece in hand' : 'a fresh piece'} can take`, capacity(pass), 'µm', 'all of these multiplied', factors)
}

/** The time constant τ: 15 s, less for a fine grain, inversely to speed and the turner’s own rate. */
function timeConstantOf(pass: Pass, grain: Figure, speed: Figure): Figure {
  return worked('time constant τ', timeConstant(pass), 's', 'τ × part for the grain × (40 m/min / speed) / your own rate', [
    given('τ at 40 m/min, coarse grain', TAU, 's', MODEL),
    worked('part of it for this grain', grainPart(grain.value), '×', '√(grain / 68 µm), within 0.25 and 1', [grain]),
    speed,
    ...(pass.own ? [{ ...given('your own rate', pass.own.rate, '×'), ...LEARNT }] : []),
  ])
}

const LEARNT = { origin: 'measured' as const, note: 'learnt from the looks of your own log' }
