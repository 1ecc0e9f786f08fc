import { filmAfter, type FilmStep } from '../../film'
import { scratchLeft, type Medium, type Pass } from '../../sanding'
import type { PlanInputs, ShelfAbrasive } from '../inputs'
import { levellingGrit, passOf, shelfLadder } from '../ladder'
import type { Step } from '../plan'
import { forgives } from '../targets'
import { coatAsFilm, type CoatStep } from './coats'

export const FILM: Medium = { kind: 'film' }

const wetOnes = (inputs: PlanInputs): ShelfAbrasive[] => inputs.shelf.abrasives.filter(abrasive => abrasive.wet)

/** How an abrasive cuts a cured film at the method's levelling speed. */
export const filmPass = (inputs: PlanInputs) => (abrasive: ShelfAbrasive): Pass => passOf(abrasive, FILM, inputs.fitting, inputs.method.speeds.level)

/** The abrasive to level these coats with. */
export const levelGritFor = (inputs: PlanInputs, coats: readonly CoatStep[]): ShelfAbrasive | undefined =>
  levellingGrit(wetOnes(inputs), filmAfter(coats.flatMap(coat => coatAsFilm(inputs, coat) ?? [])).unevenness, filmPass(inputs))

/** The wet ladder after a levelling with this abrasive, as fine as the sheen wanted asks. */
export function polishLadder(inputs: PlanInputs, level: ShelfAbrasive): ShelfAbrasive[] {
  const pass = filmPass(inputs)
  const { greatestJump, sheen } = inputs.method
  const { grain } = pass(level)
  return shelfLadder({
    from: scratchLeft(pass(level)), target: forgives(sheen).value, abrasives: wetOnes(inputs).filter(one => pass(one).grain < grain), pass, greatestJump, firstGrain: grain / greatestJump,
  })
}

/** The fine abrasive to cut a thin coat back with between coats: the one nearest to this grain, µm. */
export function cutBackGrit(inputs: PlanInputs, grain: number): ShelfAbrasive | undefined {
  const pass = filmPass(inputs)
  const off = (abrasive: ShelfAbrasive) => Math.abs(Math.log(pass(abrasive).grain / grain))
  return [...inputs.shelf.abrasives].sort((a, b) => off(a) - off(b))[0]
}

/** A run of steps as the film model takes it. */
export function filmSteps(inputs: PlanInputs, steps: readonly Step[]): FilmStep[] {
  const pass = filmPass(inputs)
  let scratchBefore = 0
  return steps.flatMap((step): FilmStep[] => {
    if (step.kind === 'coat') {
      scratchBefore = 0
      return [coatAsFilm(inputs, step) ?? []].flat()
    }
    if (step.kind !== 'level' && step.kind !== 'smooth' && step.kind !== 'cut back') return []
    const before = scratchBefore
    scratchBefore = scratchLeft(pass(step.abrasive))
    return [step.kind === 'smooth' ? { kind: 'smooth', scratchBefore: before } : { kind: step.kind, scratch: scratchBefore }]
  })
}
