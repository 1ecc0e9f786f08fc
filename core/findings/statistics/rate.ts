import { withinNormal } from './normal'

/** So many of so many. */
export interface Counted {
  /** On how many it was so. */
  hits: number
  /** Of how many. */
  of: number
}

/** A value with the interval in which the true one lies as surely as was asked. */
export interface Between {
  /** The value. */
  value: number
  /** From. */
  low: number
  /** To. */
  high: number
}

/** How surely an interval holds where nothing else is said. */
export const LEVEL = 0.95

/**
 * A rate with Wilson’s score interval (Wilson 1927): it stays within 0 and 1 and holds for few and for none. Of none nothing is known:
 * 0 to 1.
 * @throws RangeError for more hits than there are, or numbers below 0
 */
export function rateOf({ hits, of }: Counted, level = LEVEL): Between {
  if (!(hits >= 0 && of >= hits)) throw new RangeError('There should be no more hits than there are in all.')
  if (!of) return { value: 0.5, low: 0, high: 1 }
  const z = withinNormal(level)
  const [value, part] = [hits / of, z * z / of]
  const centre = (value + part / 2) / (1 + part)
  const half = (z / (1 + part)) * Math.sqrt((value * (1 - value)) / of + part / (4 * of))
  return { value, low: hits === 0 ? 0 : centre - half, high: hits === of ? 1 : centre + half }
}

/** By how much one rate is higher than another, with Newcombe’s interval (1998, method 10) from the score intervals of both. */
export function differenceOf(one: Counted, other: Counted, level = LEVEL): Between {
  const [a, b] = [rateOf(one, level), rateOf(other, level)]
  if (!one.of || !other.of) return { value: 0, low: -1, high: 1 }
  const value = a.value - b.value
  return {
    value,
    low: value - Math.hypot(a.value - a.low, b.high - b.value),
    high: value + Math.hypot(a.high - a.value, b.value - b.low),
  }
}
