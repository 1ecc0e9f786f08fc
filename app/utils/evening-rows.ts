import type { Board } from '../stores/bench'
import { alongEvenings, type Column, type Shown } from './evening-view'
import { promisedBy } from './evening-hours'
import type { Promised } from './evening-words'

/** A stretch of time. */
export interface Span {
  /** From when. */
  from: Date
  /** Until when. */
  to: Date
}

/** Pieces of one pen with hardly a gap between them, drawn as one. */
export interface Drawn extends Span {
  /** The first of them. */
  first: Shown
  /** All of them. */
  blocks: Shown[]
  /** In a word or two. */
  says: string
}

/** A pen in the evenings that are shown. */
export interface Row {
  /** The pen worked out. */
  board: Board
  /** Work on it. */
  bands: Drawn[]
  /** What runs by itself. */
  waits: Span[]
  /** By when work that has a latest time has to be begun, and whether it is. */
  edges: { at: Date, missed: boolean }[]
  /** Its promised day, where that is shown, and whether it is kept. */
  flag: { at: Date, kept: boolean } | undefined
}

/** Gaps shorter than this part of the first evening are not seen. */
const NEAR = 0.008

/** Whether a stretch lies in what is shown, wholly or in part. */
export function isShown(columns: readonly Column[], { from, to }: Span): boolean {
  const [first, last] = [columns[0], columns.at(-1)]
  return first !== undefined && last !== undefined && to > first.from && from < last.to
}

/** The rows of all pens, whether there is anything in them or not. */
export function rowsOf(
  boards: readonly Board[], blocks: readonly Shown[], promised: readonly Promised[], columns: readonly Column[], now: Date,
): Row[] {
  const [first] = columns
  const near = first ? NEAR * (first.to.getTime() - first.from.getTime()) : 0
  return boards.map((board) => {
    const own = blocks.filter(one => one.pen === board.pen.id)
    const promise = promised.find(one => one.pen === board.pen.id)
    const by = promise && promisedBy(promise.due)
    const isFlagged = by !== undefined && isShown(columns, { from: by, to: new Date(by.getTime() + 1) })
    const waits = own.flatMap(one => (one.waits ? [{ from: one.to, to: one.waits }] : []))
    return {
      board,
      bands: drawn(own.filter(one => one.inHours && isShown(columns, one)), near),
      waits: [...running(board, now), ...waits].filter(one => isShown(columns, one)),
      edges: own.flatMap(({ latest, missed }) => (latest ? [{ at: latest, missed }] : []))
        .filter(({ at }) => isShown(columns, { from: at, to: new Date(at.getTime() + 1) })),
      flag: promise && by && isFlagged ? { at: by, kept: promise.kept } : undefined,
    }
  })
}

/** Whether there is anything to be seen in a row. */
export const hasMuch = ({ bands, waits, flag }: Row): boolean => bands.length > 0 || waits.length > 0 || flag !== undefined

/** What runs already. */
function running({ state }: Board, now: Date): Span[] {
  const wait = state.waits.find(one => one.before === state.next?.id)
  const until = wait && new Date(wait.until)
  return until && until > now ? [{ from: now, to: until }] : []
}

function drawn(own: readonly Shown[], near: number): Drawn[] {
  const bands: Shown[][] = []
  for (const one of own) {
    const last = bands.at(-1)?.at(-1)
    if (last && one.from.getTime() - last.to.getTime() < near) bands.at(-1)?.push(one)
    else bands.push([one])
  }
  return bands.flatMap((blocks) => {
    const [first, last] = [blocks[0], blocks.at(-1)]
    const says = [...new Set(blocks.map(one => one.short))].slice(0, 2).join(' ')
    return first && last ? [{ first, blocks, from: first.from, to: last.to, says }] : []
  })
}

/** Where a stretch is drawn, as CSS. */
export function drawnAt(columns: readonly Column[], { from, to }: Span): { left: string, width: string } {
  const [left, right] = [alongEvenings(columns, from), alongEvenings(columns, to)]
  return { left: `${100 * left}%`, width: `${100 * Math.max(0, right - left)}%` }
}

/** Whether dark letters are read well on a colour, `#rrggbb`. */
export function isLight(colour: string): boolean {
  const [red = 0, green = 0, blue = 0] = [1, 3, 5].map(from => Number.parseInt(colour.slice(from, from + 2), 16))
  return 0.299 * red + 0.587 * green + 0.114 * blue > 140
}
