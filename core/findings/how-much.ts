import { medianOf, middleOf, shiftOf } from './statistics/middle'
import type { Between } from './statistics/rate'
import { LIKELY, SURE, type Sureness } from './statistics/verdict'

/** What was measured on a pen that has a value of the trait one asks by. */
export interface Measured {
  /** The value. */
  value: string
  /** The figure. */
  figure: number
}

/** Pens of one value, by what was measured on them. */
export interface FigureGroup {
  /** The value. */
  value: string
  /** How many pens. */
  of: number
  /** The figure in the middle. */
  middle: number
  /** The same with its interval; absent where there are too few. */
  median?: Between
  /** By how much its figures are higher than those of the others; absent where there are too few. */
  over?: Between
  /** In words of a fixed meaning, whether they differ from the others at all. */
  sureness: Sureness
  /** So many pens more of each would tell, if figures stay as they are; undefined where even very many would not. */
  more: number | undefined
}

/** How much something comes to on pens, by a trait of theirs; the group with the most pens first. What is no number tells nothing. */
export function howMuch(measured: readonly Measured[]): FigureGroup[] {
  const told = measured.filter(one => Number.isFinite(one.figure))
  return [...new Set(told.map(one => one.value))].map((value): FigureGroup => {
    const mine = told.filter(one => one.value === value).map(one => one.figure)
    const others = told.filter(one => one.value !== value).map(one => one.figure)
    const median = medianOf(mine)
    const over = others.length ? shiftOf(mine, others) : undefined
    const known = { value, of: mine.length, middle: middleOf(mine), ...(median ? { median } : {}), ...(over ? { over } : {}) }
    return { ...known, ...toldBy(mine, others) }
  }).sort((a, b) => b.of - a.of || (a.value < b.value ? -1 : 1))
}

/** More than this nobody makes to find out. */
const MOST = 10_000

/**
 * How sure it is that two kinds differ: by the interval of their shift. An interval narrows with the root of how many there are: from
 * that follows how many more it would take.
 */
function toldBy(mine: readonly number[], others: readonly number[]): Pick<FigureGroup, 'sureness' | 'more'> {
  const leavesOut = (chance: number) => {
    const shift = others.length ? shiftOf(mine, others, 1 - chance) : undefined
    return shift && (shift.low > 0 || shift.high < 0)
  }
  if (leavesOut(SURE)) return { sureness: 'sure', more: 0 }
  if (leavesOut(LIKELY)) return { sureness: 'likely', more: 0 }
  const shift = others.length ? shiftOf(mine, others, 1 - LIKELY) : undefined
  if (!shift?.value) return { sureness: 'not yet', more: undefined }
  const half = (shift.high - shift.low) / 2
  const more = Math.ceil(Math.min(mine.length, others.length) * ((half / shift.value) ** 2 - 1))
  return { sureness: 'not yet', more: more > MOST ? undefined : Math.max(1, more) }
}
