import { LIKE, type Cell, type Like } from './cells'
import type { Trait } from './pens'
import { exactP } from './statistics/fisher'
import { pulledRate, wholeOf } from './statistics/pulled'
import { differenceOf, rateOf, type Between, type Counted } from './statistics/rate'
import { likeWithLike, type Stratum } from './statistics/stratified'
import { moreNeeded, surenessOf, type Sureness } from './statistics/verdict'

/** Pens that have one value of a trait. */
export interface Group {
  /** The value. */
  value: string
  /** On how many of them it was so. */
  counted: Counted
  /** The rate, with its interval. */
  rate: Between
  /** The same, drawn to the rate of all the more, the fewer pens there are. */
  pulled: number
}

/** One group against all others. */
export interface Difference {
  /** Whose. */
  value: string
  /** By how much its rate is higher than that of the others, like compared with like where that can be. */
  by: Between
  /** The same with all thrown together. */
  plain: Between
  /** How likely it differs so much by chance alone. */
  likelihood: number
  /** In words of a fixed meaning. */
  sureness: Sureness
  /** With what else the group is mixed up, so that it was compared like with like. */
  mixedWith: Like[]
  /** So many pens more of each would tell; undefined where even very many would not. */
  more: number | undefined
  /** The group, and all others. */
  sides: Stratum
}

/** What pens answer to “how often, by what”. */
export interface RateAnswer {
  /** On how many of all it was so. */
  all: Counted
  /** The groups, the one with the most pens first. */
  groups: Group[]
  /** Each against the others, the surest first; nothing where there is only one group. */
  differences: Difference[]
}

/** A trait is mixed up with another where their groups overlap so unevenly: Cramér’s V from here on [model]. */
const MIXED = 0.3

/** How often something is so on pens, by a trait of theirs, from their counts. It is the same in whatever order they come. */
export function howOften(counted: readonly Cell[], by: Trait): RateAnswer {
  // Sums of fractions depend on their order in the last place, and a bound that is just met would with them.
  const cells = inOrder(counted)
  const values = [...new Set(cells.map(one => one.value))]
  const counts = values
    .map(value => ({ value, counted: sumOf(cells.filter(one => one.value === value)) }))
    .filter(one => one.counted.of > 0)
  const whole = wholeOf(counts.map(one => one.counted))
  const groups = counts
    .map((one): Group => ({ ...one, rate: rateOf(one.counted), pulled: pulledRate(one.counted, whole) }))
    .sort((a, b) => b.counted.of - a.counted.of || (a.value < b.value ? -1 : 1))
  const differences = groups.length < 2 ? [] : groups.map(({ value }) => against(cells, value, by))
  // Of two that are as sure, as both of two groups are, the one comes first where it is more.
  const isFirst = (a: Difference, b: Difference) => a.likelihood - b.likelihood || b.by.value - a.by.value
  return { all: sumOf(cells), groups, differences: differences.sort(isFirst) }
}

const inOrder = (cells: readonly Cell[]): Cell[] => cells
  .map(cell => ({ cell, key: JSON.stringify([cell.value, cell.class, cell.method]) }))
  .sort((a, b) => (a.key < b.key ? -1 : 1)).map(({ cell }) => cell)

function against(cells: readonly Cell[], value: string, by: Trait): Difference {
  const mixedWith = LIKE.filter(trait => trait !== by && strength(cells, value, trait) >= MIXED)
  const sides = sidesOf(cells, value)
  const { one, other } = sides
  const plain = differenceOf(one, other)
  const told = (by: Between, likelihood: number): Difference => {
    const sureness = surenessOf(likelihood)
    const more = moreNeeded(one, other)
    // The interval may leave nought out a little before the exact test does.
    return { value, by, plain, likelihood, sureness, mixedWith, sides, more: sureness === 'not yet' && more === 0 ? 1 : more }
  }
  if (!mixedWith.length) return told(plain, exactP(one, other))
  const like = likeWithLike(strataOf(cells, value, mixedWith))
  return told(like, like.likelihood)
}

const sumOf = (cells: readonly Counted[]): Counted => ({
  hits: cells.reduce((sum, one) => sum + one.hits, 0), of: cells.reduce((sum, one) => sum + one.of, 0),
})

const sidesOf = (cells: readonly Cell[], value: string): Stratum =>
  ({ one: sumOf(cells.filter(one => one.value === value)), other: sumOf(cells.filter(one => one.value !== value)) })

function strataOf(cells: readonly Cell[], value: string, by: readonly Like[]): Stratum[] {
  const strata = new Map<string, Cell[]>()
  for (const one of cells) {
    const key = JSON.stringify(by.map(trait => one[trait]))
    const stratum = strata.get(key)
    if (stratum) stratum.push(one)
    else strata.set(key, [one])
  }
  return [...strata.values()].map(own => sidesOf(own, value))
}

/** How strongly having a value goes with another trait: Cramér’s V, 0 to 1. */
function strength(cells: readonly Cell[], value: string, trait: Like): number {
  const classes = new Map<string, [number, number]>()
  let [own, all] = [0, 0]
  for (const cell of cells) {
    const key = cell[trait] ?? ''
    const counts = classes.get(key) ?? [0, 0]
    counts[cell.value === value ? 0 : 1] += cell.of
    classes.set(key, counts)
    all += cell.of
    if (cell.value === value) own += cell.of
  }
  const share = own / all
  if (!(share > 0 && share < 1)) return 0
  let square = 0
  for (const [one, other] of classes.values()) {
    const both = one + other
    if (!both) continue
    square += (one - both * share) ** 2 / (both * share) + (other - both * (1 - share)) ** 2 / (both * (1 - share))
  }
  return Math.sqrt(square / all)
}

/** The surest difference of an answer, if any. */
export const surest = ({ differences }: RateAnswer): Difference | undefined => differences[0]
