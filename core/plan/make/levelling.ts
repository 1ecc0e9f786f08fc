import { filmAfter } from '../../film'
import { capacity, fresh } from '../../sanding'
import { grainOf, levels, type ShelfAbrasive } from '../../shelf'
import type { CoatStep, PlanInputs } from '../model'
import { filmSteps } from './as-film'
import { filmPass } from './pass'

/** The part of its capacity that a levelling grit should not be asked beyond: past it, it only rubs [model]. */
const LEVEL_REACH = 0.86
/** Grain of the grits that level a film, P320 to P800, µm [trade]. */
const LEVEL_GRAINS = { coarsest: 47, finest: 20 }

/**
 * The abrasive to level these coats with: the turner's own wish, else the finest of P320 to P800 that takes their unevenness out with one
 * fresh piece, so that an even film is levelled with P600 and a ridged one with P400 or P320; else the coarsest of them that is there.
 */
export function levelGritFor(inputs: PlanInputs, coats: readonly CoatStep[]): ShelfAbrasive | undefined {
  const own = inputs.shelf.abrasives.find(one => one.id === inputs.wishes.levelWith && one.wet)
  if (own) return own
  const { unevenness } = filmAfter(filmSteps(inputs, coats))
  const fit = inputs.shelf.abrasives
    .filter(one => levels(one) && grainOf(one) <= LEVEL_GRAINS.coarsest && grainOf(one) >= LEVEL_GRAINS.finest)
    .sort((a, b) => grainOf(a) - grainOf(b))
  return fit.find(one => unevenness <= LEVEL_REACH * capacity(fresh(filmPass(inputs)(one)))) ?? fit.at(-1)
}

/** The fine abrasive to cut a thin coat back with between coats: the one nearest to this grain, µm. */
export function cutBackGrit({ shelf }: PlanInputs, grain: number): ShelfAbrasive | undefined {
  const off = (abrasive: ShelfAbrasive) => Math.abs(Math.log(grainOf(abrasive) / grain))
  return [...shelf.abrasives].sort((a, b) => off(a) - off(b))[0]
}
