import { nth } from '../sure'
import type { ToldPen, Trait } from './pens'
import { medianOf, middleOf, shiftOf } from './statistics/middle'
import { pulledRate, wholeOf } from './statistics/pulled'
import { differenceOf, rateOf, type Between, type Counted } from './statistics/rate'
import { exactP } from './statistics/fisher'
import { likeWithLike, type Stratum } from './statistics/stratified'
import { moreNeeded, surenessOf, type Sureness } from './statistics/verdict'

/** Whether something is so on a pen; undefined: the pen tells nothing of it. */
export type Asked = (pen: ToldPen) => boolean | undefined

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
  /** Its pens. */
  pens: string[]
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
  mixedWith: Trait[]
  /** So many pens more of each would tell; undefined where even very many would not. */
  more: number | undefined
}

/** What pens answer to “how often, by what”. */
export interface RateAnswer {
  /** The groups, the one with the most pens first. */
  groups: Group[]
  /** Each against the others, the surest first; nothing where there is only one group. */
  differences: Difference[]
}

/** What is compared like with like where it is mixed up with what one asks. */
const LIKE: readonly Trait[] = ['class', 'method']
/** A trait is mixed up with another where their groups overlap so unevenly: Cramér’s V from here on [model]. */
const MIXED = 0.3

/** How often something is so on pens, by a trait of theirs. Pens that have no such trait, or tell nothing, are left out. */
export function howOften(pens: readonly ToldPen[], asked: Asked, by: Trait): RateAnswer {
  const told = pens.flatMap((pen) => {
    const [is, value] = [asked(pen), pen.traits[by]]
    return is === undefined || value === undefined ? [] : [{ pen, is, value }]
  })
  const values = [...new Set(told.map(one => one.value))]
  const counts = values.map((value) => {
    const own = told.filter(one => one.value === value)
    return { value, pens: own.map(one => one.pen.id), counted: { hits: own.filter(one => one.is).length, of: own.length } }
  })
  const whole = wholeOf(counts.map(one => one.counted))
  const groups = counts
    .map((one): Group => ({ ...one, rate: rateOf(one.counted), pulled: pulledRate(one.counted, whole) }))
    .sort((a, b) => b.counted.of - a.counted.of || (a.value < b.value ? -1 : 1))
  const differences = groups.length < 2 ? [] : groups.map(({ value }) => against(told, value, by))
  return { groups, differences: differences.sort((a, b) => a.likelihood - b.likelihood) }
}

/** A pen that tells something. */
interface Told {
  pen: ToldPen
  is: boolean
  value: string
}

function against(told: readonly Told[], value: string, by: Trait): Difference {
  const mixedWith = LIKE.filter(trait => trait !== by && strength(told, value, trait) >= MIXED)
  const { one, other } = sidesOf(told, value)
  const plain = differenceOf(one, other)
  const more = moreNeeded(one, other)
  if (!mixedWith.length) {
    const likelihood = exactP(one, other)
    return { value, by: plain, plain, likelihood, sureness: surenessOf(likelihood), mixedWith, more }
  }
  const like = likeWithLike(strataOf(told, value, mixedWith))
  return { value, by: like, plain, likelihood: like.likelihood, sureness: surenessOf(like.likelihood), mixedWith, more }
}

function sidesOf(told: readonly Told[], value: string): Stratum {
  const count = (own: readonly Told[]): Counted => ({ hits: own.filter(one => one.is).length, of: own.length })
  return { one: count(told.filter(one => one.value === value)), other: count(told.filter(one => one.value !== value)) }
}

function strataOf(told: readonly Told[], value: string, by: readonly Trait[]): Stratum[] {
  const strata = new Map<string, Told[]>()
  for (const one of told) {
    const key = JSON.stringify(by.map(trait => one.pen.traits[trait] ?? null))
    const stratum = strata.get(key)
    if (stratum) stratum.push(one)
    else strata.set(key, [one])
  }
  return [...strata.values()].map(own => sidesOf(own, value))
}

/** How strongly having a value goes with another trait: Cramér’s V, 0 to 1. */
function strength(told: readonly Told[], value: string, trait: Trait): number {
  const classes = new Map<string, [number, number]>()
  for (const { pen, value: own } of told) {
    const key = pen.traits[trait] ?? ''
    const counts = classes.get(key) ?? [0, 0]
    counts[own === value ? 0 : 1] += 1
    classes.set(key, counts)
  }
  const own = told.filter(one => one.value === value).length
  const share = own / told.length
  if (!(share > 0 && share < 1)) return 0
  let square = 0
  for (const [one, other] of classes.values()) {
    const all = one + other
    square += (one - all * share) ** 2 / (all * share) + (other - all * (1 - share)) ** 2 / (all * (1 - share))
  }
  return Math.sqrt(square / told.length)
}

/** Pens of one value, by what was measured on them. */
export interface FigureGroup {
  /** The value. */
  value: string
  /** The figure in the middle, with its interval; absent where there are too few. */
  median?: Between
  /** The figure in the middle. */
  middle: number
  /** By how much its figures are higher than those of the others; absent where there are too few. */
  over?: Between
  /** Its pens. */
  pens: string[]
}

/** How much something comes to on pens, by a trait of theirs; the group with the most pens first. */
export function howMuch(pens: readonly ToldPen[], figure: string, by: Trait): FigureGroup[] {
  const told = pens.flatMap((pen) => {
    const [number, value] = [pen.figures[figure], pen.traits[by]]
    return number === undefined || !Number.isFinite(number) || value === undefined ? [] : [{ id: pen.id, number, value }]
  })
  return [...new Set(told.map(one => one.value))].map((value): FigureGroup => {
    const own = told.filter(one => one.value === value)
    const [mine, others] = [own.map(one => one.number), told.filter(one => one.value !== value).map(one => one.number)]
    const median = medianOf(mine)
    const over = others.length ? shiftOf(mine, others) : undefined
    return { value, middle: middleOf(mine), pens: own.map(one => one.id), ...(median ? { median } : {}), ...(over ? { over } : {}) }
  }).sort((a, b) => b.pens.length - a.pens.length || (a.value < b.value ? -1 : 1))
}

/** The surest difference of an answer, if any. */
export const surest = ({ differences }: RateAnswer): Difference | undefined => (differences.length ? nth(differences, 0) : undefined)
