import { abrasiveName } from '../../abrasives'
import { surfaceSpeed, type Fitting } from '../../barrel'
import { given, worked, type Figure } from '../../figures'
import type { Medium, Pass, Rung } from '../../sanding'
import { grainOf, isPad, mediumOf, type ShelfAbrasive } from '../../shelf'
import { overheadOf, sandSpeed, stepNature, type GritStep, type PlanInputs } from '../model'

/** Mean of all end diameters of a fitting, mm: where the hand works. */
export function meanDiameter(fitting: Fitting): number {
  const ends = fitting.barrels.flatMap(barrel => [barrel.tipEnd, barrel.clipEnd])
  return ends.reduce((sum, mm) => sum + mm, 0) / ends.length
}

/** A cured film, as the sanding model takes it. */
const FILM: Medium = { kind: 'film' }

/** Strokes by hand along a standing barrel, m/min: about two a second, each 50 mm long [model]. */
const STROKES = 6

/** How fast the surface goes by under an abrasive, m/min: at the spindle's speed, or by hand where the lathe stands. */
export function gritSpeed(inputs: PlanInputs, step: GritStep): Figure {
  if (stands(step)) return given('strokes by hand, lathe stopped', STROKES, 'm/min', { mark: 'model', note: 'starting value' })
  const { fitting, method } = inputs
  const spindle = step.kind === 'sand' ? sandSpeed(inputs) : given('spindle speed', method.speeds.level, 'rev/min', method.source)
  return worked('surface speed', surfaceSpeed(meanDiameter(fitting), spindle.value), 'm/min', 'π × diameter × spindle speed', [
    given('mean end diameter', meanDiameter(fitting), 'mm', fitting.source),
    spindle,
  ])
}

/** A place is sanded back by hand, a whole barrel on the slow lathe. */
function stands(step: GritStep): boolean {
  const { lathe } = stepNature[step.kind]
  return lathe === 'stands' || (step.kind === 'sand back' && !step.whole)
}

/** How the abrasive of a step cuts, with medium hand pressure: bare wood at the turner's own rates, where they are known. */
export function gritPass(inputs: PlanInputs, step: GritStep): Pass {
  const onWood = step.kind === 'sand'
  return passAt(inputs, step.abrasive, onWood ? mediumOf(inputs.material) : FILM, gritSpeed(inputs, step).value)
}

/** How an abrasive of the shelf cuts the bare blank at the speed it is sanded at. */
export const barePass = (inputs: PlanInputs) => (abrasive: ShelfAbrasive): Pass =>
  passAt(inputs, abrasive, mediumOf(inputs.material), surfaceSpeed(meanDiameter(inputs.fitting), sandSpeed(inputs).value))

/** How an abrasive of the shelf cuts a cured film on the running lathe. */
export const filmPass = (inputs: PlanInputs) => (abrasive: ShelfAbrasive): Pass =>
  passAt(inputs, abrasive, FILM, surfaceSpeed(meanDiameter(inputs.fitting), inputs.method.speeds.level))

/** An abrasive of the shelf as a rung of a ladder: how it cuts, what its change takes, and how many pieces are there. */
export const rungOf = (inputs: PlanInputs, pass: (abrasive: ShelfAbrasive) => Pass) => (abrasive: ShelfAbrasive): Rung => ({
  id: abrasive.id,
  pass: pass(abrasive),
  overhead: overheadOf(inputs, abrasive).value,
  ...(abrasive.count === undefined ? {} : { stock: abrasive.count }),
})

/** The abrasive of a step of the plan as a rung. */
export const gritRung = (inputs: PlanInputs, step: GritStep): Rung => rungOf(inputs, () => gritPass(inputs, step))(step.abrasive)

function passAt({ own }: PlanInputs, abrasive: ShelfAbrasive, medium: Medium, speed: number): Pass {
  return {
    origin: abrasiveName(abrasive),
    grain: grainOf(abrasive),
    medium,
    speed,
    pressure: 1,
    ...(isPad(abrasive) ? { pad: true } : {}),
    ...(abrasive.worn ? { worn: abrasive.worn } : {}),
    ...(own && medium.kind === 'wood' ? { own: { rate: own.rate, capacity: own.capacity } } : {}),
  }
}
