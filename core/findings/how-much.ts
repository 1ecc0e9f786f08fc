import { medianOf, middleOf, shiftsOf } from './statistics/middle'
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
  const groups = new Map<string, number[]>()
  for (const { value, figure } of measured) {
    if (!Number.isFinite(figure)) continue
    const own = groups.get(value)
    if (own) own.push(figure)
    else groups.set(value, [figure])
  }
  return [...groups].map(([value, mine]): FigureGroup => {
    const others = [...groups].flatMap(([other, figures]) => (other === value ? [] : figures))
    const median = medianOf(mine)
    const shift = others.length ? shiftsOf(mine, others) : () => undefined
    const over = shift()
    const known = { value, of: mine.length, middle: middleOf(mine), ...(median ? { median } : {}), ...(over ? { over } : {}) }
    return { ...known, ...toldBy(shift, Math.min(mine.length, others.length)) }
  }).sort((a, b) => b.of - a.of || (a.value < b.value ? -1 : 1))
}

/** More than this nobody makes to find out. */
const MOST = 10_000

/**
 * How sure it is that two kinds differ: by the interval of their shift. An interval narrows with the root of how many there are (`pens` of
 * the fewer): from that follows how many more it would take.
 */
function toldBy(shift: (level: number) => Between | undefined, pens: number): Pick<FigureGroup, 'sureness' | 'more'> {
  const leavesOut = (chance: number) => {
    const known = shift(1 - chance)
    return known !== undefined && (known.low > 0 || known.high < 0)
  }
  if (leavesOut(SURE)) return { sureness: 'sure', more: 0 }
  if (leavesOut(LIKELY)) return { sureness: 'likely', more: 0 }
  const known = shift(1 - LIKELY)
  if (!known?.value) return { sureness: 'not yet', more: undefined }
  const more = Math.ceil(pens * (((known.high - known.low) / 2 / known.value) ** 2 - 1))
  return { sureness: 'not yet', more: more > MOST ? undefined : Math.max(1, more) }
}
