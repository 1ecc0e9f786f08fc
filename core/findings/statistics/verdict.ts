import { differenceOf, type Counted } from './rate'

/** How sure a difference is, in words of a fixed meaning. */
export type Sureness = 'sure' | 'likely' | 'not yet'

/** By chance alone no more than so many in 100 are called so. */
export const SURE = 0.01
/** The same for what is called likely. */
export const LIKELY = 0.1

/** In which word a likelihood of mere chance is told. */
export const surenessOf = (likelihood: number): Sureness =>
  likelihood < SURE ? 'sure' : likelihood < LIKELY ? 'likely' : 'not yet'

/** More than this nobody makes to find out. */
const MOST = 10_000

/**
 * How many more of each are needed until a difference would be likely, if both rates stay as they are; 0 where it is likely already,
 * undefined where it would take more than ten thousand.
 */
export function moreNeeded(one: Counted, other: Counted): number | undefined {
  const [a, b] = [one.of ? one.hits / one.of : 0.5, other.of ? other.hits / other.of : 0.5]
  const tells = (more: number) => {
    const grown = (known: Counted, rate: number): Counted => ({
      // What is reckoned with may be no whole number, and no more than there are.
      hits: Math.min(known.of + more, known.hits + rate * more), of: known.of + more,
    })
    const { low, high } = differenceOf(grown(one, a), grown(other, b), 1 - LIKELY)
    return low > 0 || high < 0
  }
  if (tells(0)) return 0
  if (!tells(MOST)) return undefined
  let [low, high] = [0, MOST]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (tells(middle)) high = middle
    else low = middle
  }
  return high
}
