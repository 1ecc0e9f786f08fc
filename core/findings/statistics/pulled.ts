import type { Counted } from './rate'

/** How strongly rates of groups are drawn to that of all. */
export interface Whole {
  /** The rate of all. */
  rate: number
  /** It counts as much as so many of a group’s own; Infinity where the groups differ no more than by chance. */
  counts: number
}

/**
 * What the rates of some groups have in common: that of all, and how much of it counts for each, from how much more they differ than
 * chance alone would have them (empirical Bayes, by moments). Of nothing: one in two, counting as one.
 */
export function wholeOf(groups: readonly Counted[]): Whole {
  const there = groups.filter(one => one.of > 0)
  const of = there.reduce((sum, one) => sum + one.of, 0)
  if (!of) return { rate: 0.5, counts: 1 }
  const rate = there.reduce((sum, one) => sum + one.hits, 0) / of
  const chance = rate * (1 - rate)
  const squares = there.reduce((sum, one) => sum + one.of * (one.hits / one.of - rate) ** 2, 0)
  const room = of - there.reduce((sum, one) => sum + one.of ** 2, 0) / of
  const between = room > 0 ? (squares - (there.length - 1) * chance) / room : 0
  return { rate, counts: between > 0 ? Math.max(1, chance / between - 1) : Infinity }
}

/** A group’s rate, drawn to that of all the more, the fewer it has of its own. */
export const pulledRate = ({ hits, of }: Counted, { rate, counts }: Whole): number =>
  Number.isFinite(counts) ? (hits + counts * rate) / (of + counts) : rate
