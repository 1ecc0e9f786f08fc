import { nth } from '../../sure'
import { beginning, copyOf, eveningOf, take, type Course, type Evening, type Way } from './evening'
import { bestWay } from './exact'
import type { Job, Piece } from './job'
import { quickWay, weighed } from './quick'

/** Why a pen comes next. */
export type Why
  = | { kind: 'only' }
    | { kind: 'last hand' }
    | { kind: 'must', within: number }
    | { kind: 'short work, long wait', work: number, wait: number, saves: number }
    | { kind: 'soon', in: number, saves: number }
    | { kind: 'as good as any' }

/** Which pen to take up next. */
export interface NextPen {
  /** Its id. */
  pen: string
  /** When it can be begun, s from now: 0 unless it is better to stand by for its wait to end. */
  in: number
  /** Why this one. */
  why: Why
  /** All pens in the order they would be taken up. */
  order: string[]
  /** How long pens stand in all on the way that begins with it, pen-seconds. */
  standing: number
  /** So many pieces of each pen were looked ahead. */
  ahead: number
}

/** A difference smaller than this, pen-seconds, is none. */
const ALIKE = 5
/** Up to so many pens the best of all ways can be found in the time that there is. */
const EXACT_UP_TO = 6
/** How far ahead an evening is looked at, pieces of each pen [model]; of many pens less, or the answer would come too late. */
const AHEAD = { most: 12, least: 3, ofAll: 48 }
/** So many courses are looked at for the best way, before one looks less far ahead: some tenths of a second. */
const MOST_LOOKED_AT = 20_000
/** How many courses of it are followed at a time where not all are looked at, and how many pens are tried as the first [model]. */
const COURSES = { most: 8, least: 1, ofAll: 40 }
const FIRSTS = { most: 8, least: 2, ofAll: 48 }

const among = ({ most, least, ofAll }: typeof AHEAD, pens: number) => Math.min(most, Math.max(least, Math.floor(ofAll / pens)))

/**
 * Which pen to take up next, so that the fewest waits stand idle: the one with which the way through the rest of the evening begins on
 * which pens stand the least (pen-seconds in which a pen is ready and nobody works on it, though a wait could be running). Work is given
 * up only between pieces. Answers at once: not always the best way there is, but a good one. Undefined when nothing is left to do.
 */
export function nextPen(jobs: readonly Job[]): NextPen | undefined {
  const open = openOf(jobs)
  const ahead = among(AHEAD, open.length)
  return open.length ? told(open, quickWays(eveningOf(open, ahead)), ahead) : undefined
}

/**
 * The same for up to six pens, the best of all ways there are as far as it looks ahead; may take a second. More pens are answered as by
 * `nextPen`.
 */
export function bestNextPen(jobs: readonly Job[]): NextPen | undefined {
  const open = openOf(jobs)
  if (!open.length || open.length > EXACT_UP_TO) return nextPen(jobs)
  for (let ahead = among(AHEAD, open.length); ahead > 0; ahead--) {
    const ways = exactWays(eveningOf(open, ahead))
    if (ways) return told(open, ways, ahead)
  }
  return nextPen(jobs)
}

/** Of ways that are as good the one is taken that begins with the least work, then the first by its name. */
const openOf = (jobs: readonly Job[]): Job[] => jobs.filter(job => job.pieces.length)
  .sort((a, b) => stretch(a.pieces).work - stretch(b.pieces).work || (a.pen < b.pen ? -1 : 1))

/** The best way, and the best of those that begin with another pen that could be begun now, if any. */
interface Ways {
  best: Way
  other?: Way
}

function quickWays(evening: Evening): Ways {
  const start = beginning(evening)
  const width = among(COURSES, evening.length)
  const firsts = weighed(evening, { course: start, taken: [] }, evening.map((_, pen) => pen)).sort((a, b) => a.weight - b.weight)
  const ways = firsts.slice(0, among(FIRSTS, evening.length)).map(({ pen }) => {
    const next = copyOf(start)
    take(evening, next, pen)
    return quickWay(evening, next, width, [pen])
  })
  const [best = { standing: 0, taken: [] }, ...rest] = ways.sort((a, b) => a.standing - b.standing)
  const other = rest.find(way => isReady(start, nth(way.taken, 0)))
  return { best, ...(other ? { other } : {}) }
}

/** Undefined when too much would have to be looked at. */
function exactWays(evening: Evening): Ways | undefined {
  const start = beginning(evening)
  const quick = quickWays(evening)
  const best = bestWay(evening, evening.map((_, pen) => pen), quick.best, MOST_LOOKED_AT)
  if (!best) return undefined
  const others = evening.flatMap((_, pen) => (pen !== best.taken[0] && isReady(start, pen) ? [pen] : []))
  if (!others.length) return { best }
  // What was found before may begin with the pen that is taken now, or with one that was thought to be the best.
  const known = [quick.best, quick.other].find(way => way && others.includes(nth(way.taken, 0)))
  const other = bestWay(evening, others, known ?? { standing: Infinity, taken: [] }, MOST_LOOKED_AT)
  return other && { best, other }
}

const isReady = (start: Course, pen: number): boolean => nth(start.ready, pen) <= 0

function told(open: readonly Job[], { best, other }: Ways, ahead: number): NextPen {
  const taken = [...new Set(best.taken)]
  const order = [...taken, ...open.flatMap((_, pen) => (taken.includes(pen) ? [] : [pen]))]
  const job = nth(open, nth(order, 0))
  return {
    pen: job.pen,
    in: Math.max(0, nth(job.pieces, 0).wait),
    why: whyOf(job, open.length === 1, other ? other.standing - best.standing : 0),
    order: order.map(pen => nth(open, pen).pen),
    standing: best.standing,
    ahead,
  }
}

function whyOf({ pieces }: Job, isOnly: boolean, saves: number): Why {
  const first = nth(pieces, 0)
  const { work, wait } = stretch(pieces)
  if (first.latest !== undefined && first.wait <= 0) return { kind: 'must', within: Math.max(0, first.latest) }
  if (isOnly) return { kind: 'only' }
  if (first.wait > 0) return { kind: 'soon', in: first.wait, saves }
  if (wait > 0 && saves >= ALIKE) return { kind: 'short work, long wait', work, wait, saves }
  if (wait <= 0) return { kind: 'last hand' }
  return { kind: 'as good as any' }
}

/** The work up to the next wait, and that wait; 0 when none follows. */
function stretch(pieces: readonly Piece[]): { work: number, wait: number } {
  const next = pieces.findIndex((piece, index) => index > 0 && piece.wait > 0)
  const work = (next < 0 ? pieces : pieces.slice(0, next)).reduce((sum, piece) => sum + piece.handsOn, 0)
  return { work, wait: next < 0 ? 0 : nth(pieces, next).wait }
}
