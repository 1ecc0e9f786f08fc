import { grainOf, type ShelfAbrasive } from './abrasive'

/** Two neighbours by their grain with nothing between them, though the step from one to the other is long. */
export interface Gap {
  /** The coarser of the two. */
  coarse: ShelfAbrasive
  /** The finer. */
  fine: ShelfAbrasive
  /** How many times finer it is. */
  jump: number
  /** What would close it, the one nearest the middle first; empty where no single one does. */
  fills: ShelfAbrasive[]
}

/** Grains that are the same for the hand: a gap is told of beyond this much more than the longest jump. */
const ABOUT = 1.05
/** So many are named to close a gap. */
const NAMED = 3

/**
 * Where a set of abrasives leaves a step longer than `greatest` (to 1) between neighbours, the coarsest first, and what of the
 * `catalogue` would close it in one go.
 */
export function gapsIn(there: readonly ShelfAbrasive[], catalogue: readonly ShelfAbrasive[], greatest: number): Gap[] {
  const sorted = [...there].sort((a, b) => grainOf(b) - grainOf(a))
  return sorted.slice(1).flatMap((fine, index) => {
    const coarse = sorted[index] ?? fine
    const jump = grainOf(coarse) / grainOf(fine)
    return jump > greatest * ABOUT ? [{ coarse, fine, jump, fills: fillsOf(coarse, fine, catalogue, greatest * ABOUT) }] : []
  })
}

function fillsOf(coarse: ShelfAbrasive, fine: ShelfAbrasive, catalogue: readonly ShelfAbrasive[], longest: number): ShelfAbrasive[] {
  const middle = Math.sqrt(grainOf(coarse) * grainOf(fine))
  const off = (one: ShelfAbrasive) => Math.abs(Math.log(grainOf(one) / middle))
  return catalogue
    .filter(one => grainOf(coarse) / grainOf(one) <= longest && grainOf(one) / grainOf(fine) <= longest)
    .sort((a, b) => off(a) - off(b))
    .slice(0, NAMED)
}
