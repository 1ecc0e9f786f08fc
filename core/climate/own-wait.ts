import { weightedSpread, type Ranged } from '../figures'

const { exp, log } = Math

/** What a finger told of a coat that was waiting: so long after it was put on it was still tacky, or hard. */
export interface Touch {
  /** When it was touched, as a part of the wait that was reckoned, without what was learnt. */
  part: number
  /** What it was like. */
  felt: 'tacky' | 'hard'
}

/** How long a product needs in a turner's own hands and shop, as a factor on the wait. */
export interface OwnWait {
  /** Above 1 it waits longer. */
  factor: Ranged
  /** Touches it was learnt from. */
  touches: number
}

/** How far shops lie from the wait, as a standard deviation of the logarithm [model]: thick coats, old bottles, another maker. */
export const SPREAD = 0.4
/** A coat is hard after this part of its wait, in the middle of all; the wait is long enough for nearly all [model]. */
export const HARD_AT = 0.7
/** How far coats of one product in one shop differ, and fingers err, as a standard deviation of the logarithm [model]. */
export const COATS = 0.25
/** So many touches say nothing: a finger on the wrong pen [model]. */
const STRAY = 0.04
/** Coats of one evening are alike: each touch counts as so much of one [model]. */
const WEIGHT = 0.7
const GRID = { count: 41, reach: 3 }

/**
 * A turner's own factor on the wait of a product, from what was still tacky and what was hard, and when: each factor is weighed by how
 * usual it is and how well it explains them. “Hard” after the wait is over says nearly nothing, nor does “tacky” soon after the coat.
 */
export function learnWait(touches: readonly Touch[]): OwnWait {
  const cells = Array.from({ length: GRID.count }, (_, index) => GRID.reach * SPREAD * ((2 * index) / (GRID.count - 1) - 1))
  const weights = cells.map(own =>
    exp(-((own / SPREAD) ** 2) / 2 + touches.reduce((sum, touch) => sum + WEIGHT * log(explained(touch, own)), 0)))
  const { low, likely, high } = weightedSpread(cells.map((value, at) => ({ value, weight: weights[at] ?? 0 })))
  return { factor: { low: exp(low), likely: exp(likely), high: exp(high) }, touches: touches.length }
}

function explained({ part, felt }: Touch, own: number): number {
  const hard = below((log(Math.max(part, LEAST)) - own - log(HARD_AT)) / COATS)
  return STRAY / 2 + (1 - STRAY) * (felt === 'hard' ? hard : 1 - hard)
}
const LEAST = 0.001

/** Standard normal distribution, near enough for a likelihood. */
const below = (z: number): number => 1 / (1 + exp(-1.702 * z))
