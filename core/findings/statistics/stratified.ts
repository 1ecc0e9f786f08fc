import { beyondNormal, withinNormal } from './normal'
import { LEVEL, type Between, type Counted } from './rate'

/** Two rates that are compared within one group of their like. */
export interface Stratum {
  /** The one. */
  one: Counted
  /** The other. */
  other: Counted
}

/** Two rates compared like with like. */
export interface Compared extends Between {
  /** How likely they differ so much by chance alone. */
  likelihood: number
  /** In how many groups both were there to be compared. */
  strata: number
}

/**
 * By how much one rate is higher than another where only like is compared with like: the difference over all groups by Mantel and Haenszel
 * with the variance of Sato (1989), which holds for many small groups and for few large ones; its likelihood by the test of Mantel and
 * Haenszel (1959), without a correction. Groups in which only one of the two is there tell nothing.
 */
export function likeWithLike(strata: readonly Stratum[], level = LEVEL): Compared {
  let [weights, sum, p, q] = [0, 0, 0, 0]
  let [over, variance, count] = [0, 0, 0]
  for (const { one, other } of strata) {
    const [n, m] = [one.of, other.of]
    if (!n || !m) continue
    const all = n + m
    const hits = one.hits + other.hits
    count++
    weights += (n * m) / all
    sum += (one.hits * m - other.hits * n) / all
    p += (n * n * other.hits - m * m * one.hits + (n * m * (m - n)) / 2) / all ** 2
    q += (one.hits * (m - other.hits) + other.hits * (n - one.hits)) / (2 * all)
    over += one.hits - (n * hits) / all
    if (all > 1) variance += (n * m * hits * (all - hits)) / (all ** 2 * (all - 1))
  }
  if (!weights) return { value: 0, low: -1, high: 1, likelihood: 1, strata: 0 }
  const value = sum / weights
  const half = (withinNormal(level) * Math.sqrt(Math.max(0, value * p + q))) / weights
  return {
    value, low: Math.max(-1, value - half), high: Math.min(1, value + half), strata: count,
    likelihood: variance > 0 ? beyondNormal(over / Math.sqrt(variance)) : 1,
  }
}
