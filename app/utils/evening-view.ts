import { format, isSameDay } from 'date-fns'
import type { Block, EveningProblem, Evenings } from '../../core/evening'
import { isGrit, stepWords, type Step, type StepKind } from '../../core/plan'
import { abrasiveName } from '../../core/abrasives'
import { operationOf } from '../../core/bench'
import type { UnitWords } from '../../core/units'
import type { Board } from '../stores/bench'
import type { Stretch } from './evening-hours'

/** A block of a plan with what it is, for the screen. */
export interface Shown extends Block {
  /** Its pen worked out. */
  board: Board
  /** Its step. */
  is: Step
  /** When hands begin on it. */
  from: Date
  /** When they end. */
  to: Date
  /** In one word or two. */
  short: string
  /** As it is called at the bench. */
  title: string
  /** Steps of any pens with the same key are one operation; null for what is done by itself. */
  key: string | null
  /** By when it has to be begun; undefined: whenever. */
  latest: Date | undefined
  /** Until when it waits after it, by itself; undefined where it does not. */
  waits: Date | undefined
}

const SHORT: Readonly<Record<Exclude<StepKind, 'sand' | 'level' | 'smooth' | 'cut back' | 'sand back'>, string>> = {
  'parts': 'parts', 'cut': 'cut', 'drill': 'drill', 'dry': 'dry', 'tube': 'glue', 'square': 'square', 'turn': 'turn', 'fill': 'fill',
  'flush': 'flush', 'harden': 'harden', 'try': 'try', 'clean': 'clean', 'coat': 'coat', 'buff': 'buff', 'wipe off': 'wipe',
  'polish': 'polish', 'take off': 'take off', 'burnish': 'burnish', 'ends': 'ends', 'assemble': 'press', 'check': 'check',
  'set aside': 'aside',
  'look again': 'look', 'fix': 'mend',
}
const shortOf = (step: Step): string => (isGrit(step) ? abrasiveName(step.abrasive) : SHORT[step.kind])

/** The blocks of a plan with what they are; `waits` from a pen’s piece to the next one’s soonest. */
export function shownBlocks({ blocks }: Evenings, { waits, latest }: Runs, boards: readonly Board[], now: Date, units: UnitWords): Shown[] {
  const byId = new Map(boards.map(board => [board.pen.id, board]))
  const at = (seconds: number) => new Date(now.getTime() + seconds * 1000)
  return blocks.flatMap((block): Shown[] => {
    const board = byId.get(block.pen)
    const traced = board?.traced.steps.find(one => one.step.id === block.step)
    if (!board || !traced) return []
    const { plan } = board.state
    const key = `${block.pen} ${block.step}`
    const wait = waits.get(key) ?? 0
    const by = latest.get(key)
    const before = by === undefined ? undefined : blocks.findLast(one => one.pen === block.pen && one.begins < block.begins)
    return [{
      ...block, board, is: traced.step, from: at(block.begins), to: at(block.ends), short: shortOf(traced.step),
      title: stepWords(plan, traced, units, board.traced).title,
      key: operationOf(traced.step, plan.inputs)?.key ?? null,
      latest: by === undefined ? undefined : at((before?.ends ?? 0) + by),
      waits: wait > 0 ? at(block.ends + wait) : undefined,
    }]
  })
}

/** What runs by itself, by pen and step. */
export interface Runs {
  /** After a piece, s. */
  waits: ReadonlyMap<string, number>
  /** From the end of the piece before it until it has to be begun, s; of the first one from the beginning. */
  latest: ReadonlyMap<string, number>
}

/** What runs by itself after each piece of a problem, and which of them have a latest time. */
export const byItself = ({ pens }: EveningProblem): Runs => ({
  waits: new Map(pens.flatMap(({ id, work, after = 0 }) =>
    work.map((one, at): [string, number] => [`${id} ${one.step}`, work[at + 1]?.wait ?? after]))),
  latest: new Map(pens.flatMap(({ id, work }) =>
    work.flatMap((one): [string, number][] => (one.latest === undefined ? [] : [[`${id} ${one.step}`, one.latest]])))),
})

/** Pieces on end that hands do as one: the same on several pens, or several on one pen. */
export interface Group {
  /** Its pieces. */
  blocks: Shown[]
  /** What is done. */
  title: string
  /** In short, for a narrow place. */
  short: string
  /** On which pens, in their order. */
  marks: string[]
  /** The change before it, s. */
  change: number
  /** From when. */
  from: Date
  /** Until when. */
  to: Date
}

/** The turner’s pieces as hands go, those on end taken together. */
export function groupsOf(blocks: readonly Shown[]): Group[] {
  const groups: Shown[][] = []
  let day = ''
  for (const block of blocks) {
    const last = groups.at(-1)
    const on = format(block.from, 'yyyy-MM-dd')
    if (last && on === day && goesWith(last, block)) last.push(block)
    else groups.push([block])
    day = on
  }
  return groups.map(group => ({
    blocks: group,
    title: titleOf(group),
    short: [...new Set(group.map(one => one.short))].slice(0, 2).join(' '),
    marks: [...new Set(group.map(one => one.board.pen.mark))],
    change: group[0]?.change ?? 0,
    from: group[0]?.from ?? new Date(0),
    to: group.at(-1)?.to ?? new Date(0),
  }))
}

/** Whether a piece goes on with a group: the same operation, the same pen, or coats by turns. */
function goesWith(group: readonly Shown[], block: Shown): boolean {
  const first = group[0]
  if (!first) return false
  if (group.every(one => one.key !== null && one.key === block.key)) return true
  if (group.every(one => one.is.kind === 'coat') && block.is.kind === 'coat') return true
  return group.every(one => one.pen === block.pen)
}

function titleOf(group: readonly Shown[]): string {
  const [first, ...rest] = group
  if (!first) return ''
  const titles = [...new Set(group.map(one => one.title))]
  const one = titles[0] ?? ''
  if (titles.length === 1) return one
  const kinds = new Set(group.map(each => each.is.kind))
  if (kinds.size === 1 && first.is.kind === 'coat')
    return rest.some(each => each.pen !== first.pen) ? 'Coats, by turns' : `${titles.length} coats, one after the other`
  if (new Set(group.map(each => each.key)).size === 1) return one
  return titles.length === 2 ? titles.join(', then ') : `${one}, and on to: ${titles.at(-1)}`
}

/** What a screen shows side by side: an evening, or what lies between two. */
export interface Column {
  /** An evening, or the time between. */
  kind: 'evening' | 'night'
  /** From when. */
  from: Date
  /** Until when. */
  to: Date
  /** Where it lies, as parts of the whole width. */
  left: number
  /** How wide it is, as a part of the whole. */
  width: number
}

/** A night is as wide as so much of an evening; the first evening, in which the next things are read, as so many others. */
const NIGHT = 0.18
const FIRST = 1.7

/** Some evenings side by side, nights folded between them. */
export function columnsOf(evenings: readonly Stretch[], count: number): Column[] {
  const shown = evenings.slice(0, count)
  const wide = (index: number) => (index === 0 && shown.length > 1 ? FIRST : 1)
  const whole = shown.reduce((sum, _, index) => sum + wide(index), 0) + NIGHT * Math.max(0, shown.length - 1)
  const columns: Column[] = []
  let left = 0
  shown.forEach(({ from, to }, index) => {
    columns.push({ kind: 'evening', from, to, left, width: wide(index) / whole })
    left += wide(index) / whole
    const next = shown[index + 1]
    if (!next) return
    columns.push({ kind: 'night', from: to, to: next.from, left, width: NIGHT / whole })
    left += NIGHT / whole
  })
  return columns
}

/** Where a moment lies, as a part of the whole width; what lies before or after all of it, at its edge. */
export function alongEvenings(columns: readonly Column[], moment: Date): number {
  for (const { from, to, left, width } of columns) {
    if (moment < from) return left
    if (moment <= to) return left + (width * (moment.getTime() - from.getTime())) / Math.max(1, to.getTime() - from.getTime())
  }
  const last = columns.at(-1)
  return last ? last.left + last.width : 0
}

/** A day as a heading: `Tonight`, `Fri 27 Nov`. */
export const eveningName = (from: Date, now: Date): string =>
  isSameDay(from, now) ? (from.getHours() >= 17 ? 'Tonight' : 'Today') : format(from, 'EEE d MMM')
