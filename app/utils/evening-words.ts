import { format, isSameDay } from 'date-fns'
import type { EveningProblem, Evenings } from '../../core/evening'
import type { RunsOut } from '../../core/bench'
import { counted, list, millilitres, roughSpan } from '../../core/format'
import type { Stretch } from './evening-hours'
import type { Shown } from './evening-view'
import { allWord, clockTime, countWord, dayWords } from './times'

/** A pen as its promise stands in a plan. */
export interface Promised {
  /** Its id. */
  pen: string
  /** Its mark. */
  mark: string
  /** The day it is promised for, YYYY-MM-DD. */
  due: string
  /** When it may go. */
  ready: Date
  /** Whether that is in time. */
  kept: boolean
}

/** When each pen may go by a plan, s from its beginning; Infinity where the evenings do not hold its work. */
export function readyTimes({ pens }: EveningProblem, { blocks }: Evenings): Map<string, number> {
  const left = new Map(pens.map(pen => [pen.id, 0]))
  for (const { pen, ends, inHours } of blocks) left.set(pen, inHours ? Math.max(left.get(pen) ?? 0, ends) : Infinity)
  return new Map(pens.map(({ id, after = 0 }) => [id, (left.get(id) ?? 0) + after]))
}

/** How many of the first promised day are kept: `Five of six are ready for Sat 5 Dec.` */
export function promiseWords(promised: readonly Promised[]): string {
  const day = promised.map(one => one.due).sort()[0]
  if (day === undefined) return 'No pen is promised for a day.'
  const own = promised.filter(one => one.due === day)
  const kept = own.filter(one => one.kept).length
  if (own.length === 1) return `${own[0]?.mark} is ${kept ? '' : 'not '}ready for ${dayWords(day)}.`
  if (kept === own.length) return `${allWord(kept)} are ready for ${dayWords(day)}.`
  return `${countWord(kept)} of ${countWord(own.length).toLowerCase()} ${kept === 1 ? 'is' : 'are'} ready for ${dayWords(day)}.`
}

/** How good an order is known to be: each pen could be finished so much sooner at the most, one with another. */
export function provenWords({ costs, least, proven, within }: Evenings, pens: number, rests: boolean): string {
  if (proven) return within ? `No order does better by more than ${roughSpan(within)}.` : 'No order does better.'
  const late = costs.late - least.late
  const sooner = (costs.finished - least.finished) / Math.max(1, pens)
  if (!rests) return 'Looking for a better order ...'
  if (late > 0) return 'Another order might keep one more.'
  if (sooner >= 60) return `No order has them ready more than ${roughSpan(sooner)} sooner on average.`
  const saved = costs.hands - least.hands
  return saved < 60
    ? 'No order does better by a minute.'
    : `No order has them ready sooner, or saves more than ${roughSpan(saved)} of changes and standing about.`
}

/** What is late, by how much. */
export function lateWords({ mark, due, ready }: Promised, evenings: readonly Stretch[]): string {
  if (!Number.isFinite(ready.getTime())) return `${mark} is not finished in the hours there are`
  const by = new Date(`${due}T23:59:59`)
  const between = evenings.filter(one => one.from > by && one.from <= ready).length
  if (!between)
    return isSameDay(ready, by) ? `${mark} is ready only at ${format(ready, 'HH:mm')} that day` : `${mark} is ready only after that day`
  return between === 1 ? `${mark} is one evening short` : `${mark} is ${countWord(between).toLowerCase()} evenings short`
}

/** What runs out, by how much and where: `Thin CA: 4 ml short, first missed at B2, coat 3, Mon 19:20.` */
export function lackingWords({ of, name, pen, step, short }: RunsOut, blocks: readonly Shown[], now: Date): string {
  const block = blocks.find(one => one.pen === pen && one.is.id === step)
  const where = block ? `, first missed at ${block.board.pen.mark}, ${block.title}, ${clockTime(block.from, now)}` : ''
  return `${name}: ${of === 'bottle' ? millilitres(short) : counted(Math.ceil(short), of)} short${where}.`
}

/** How many more run short than are named: `Two more run short.` */
export const shortWords = (more: number): string => `${countWord(more)} more ${more === 1 ? 'runs' : 'run'} short.`

/** A wait that outlasts the evening, s. */
const OVER_NIGHT = 2 * 3600

/** What the night does: what is glued and coated late sets while nobody is there, and what else runs over night. */
export function nightWords(blocks: readonly Shown[], evening: Stretch): string {
  const over = blocks.filter(one => one.from < evening.to && one.waits && one.waits > evening.to
    && one.waits.getTime() - one.to.getTime() >= OVER_NIGHT * 1000)
  const marksOf = (is: (one: Shown) => boolean) => [...new Set(over.filter(is).map(one => one.board.pen.mark))]
  const glued = marksOf(one => one.is.kind === 'tube')
  const coated = marksOf(one => one.is.kind === 'coat')
  const others = marksOf(one => one.is.kind !== 'tube' && one.is.kind !== 'coat')
  const does = [...(glued.length ? [`glue ${list(glued)}`] : []), ...(coated.length ? [`coat ${list(coated)}`] : [])]
  const both = glued.length + coated.length
  return [
    ...(both ? [`Before you go ${list(does)}: ${both > 1 ? 'they set' : 'it sets'} over night.`] : []),
    ...(others.length ? [`${list(others)} ${others.length > 1 ? 'go' : 'goes'} on curing over night.`] : []),
  ].join(' ')
}

/** A chance in words with a fixed meaning. */
export function chanceWords(chance: number): string {
  if (chance >= 0.95) return 'as good as sure'
  if (chance >= 0.8) return 'likely'
  if (chance >= 0.6) return 'more likely than not'
  if (chance >= 0.4) return 'as likely as not'
  if (chance >= 0.15) return 'not likely'
  return 'hardly likely'
}
/** A chance in tenths: `8 in 10`. */
export function inTen(chance: number): string {
  if (chance >= 0.995) return 'nearly always'
  return chance < 0.05 ? 'less than 1 in 10' : `${Math.min(9, Math.max(1, Math.round(10 * chance)))} in 10`
}
