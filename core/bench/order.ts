import { nth } from '../sure'
/** What is still to do on one pen tonight: pieces of work in their order, each with the wait before it. Times in s. */
export interface Job {
  /** Its id. */
  pen: string
  /** Hands-on pieces; `wait` runs by itself before it, counted from the piece before (of the first: from now). */
  pieces: readonly Piece[]
}

export interface Piece {
  /** What runs by itself before it, s from the end of the piece before. */
  wait: number
  /** Work with hands on it, s. */
  handsOn: number
  /** By when it must have begun, from the end of the piece before (of the first: from now). */
  latest?: number
}

/** Why a pen comes next. */
export type Why
  = | { kind: 'only' }
    | { kind: 'last hand' }
    | { kind: 'must', within: number }
    | { kind: 'short work, long wait', work: number, wait: number, saves: number }
    | { kind: 'soon', in: number, saves: number }
    | { kind: 'as good as any' }

export interface NextPen {
  /** Its id. */
  pen: string
  /** When it can be begun, s from now: 0 unless it is better to stand by for its wait to end. */
  in: number
  /** Why this one. */
  why: Why
  /** All pens in the order they would be taken up. */
  order: string[]
}

/** A pen that stands past its latest time counts this many times over [model]. */
const PAST_LATEST = 10
/** A difference smaller than this, pen-seconds, is none. */
const ALIKE = 5

/**
 * Which pen to take up next, so that the fewest waits stand idle: of every pen that could come next the rest of the evening is played
 * through, and the one that leaves pens standing the least (pen-seconds in which a pen is ready and nobody works on it, though a wait
 * could be running) is taken. Work is given up only between pieces. Undefined when nothing is left to do.
 */
export function nextPen(jobs: readonly Job[]): NextPen | undefined {
  const open = jobs.filter(job => job.pieces.length)
  const plays = open.map(job => ({ job, ...play(open, job.pen) }))
  const best = plays.sort(
    (a, b) => a.standing - b.standing || stretch(a.job.pieces).work - stretch(b.job.pieces).work || (a.job.pen < b.job.pen ? -1 : 1),
  )[0]
  if (!best) return undefined
  // What it saves is told against the next best of those that could be begun now.
  const other = plays.slice(1).find(one => nth(one.job.pieces, 0).wait <= 0)
  const saves = other ? other.standing - best.standing : 0
  const first = nth(best.job.pieces, 0)
  const { work, wait } = stretch(best.job.pieces)
  const why = ((): Why => {
    if (first.latest !== undefined && first.wait <= 0) return { kind: 'must', within: Math.max(0, first.latest) }
    if (open.length === 1) return { kind: 'only' }
    if (first.wait > 0) return { kind: 'soon', in: first.wait, saves }
    if (wait > 0 && saves >= ALIKE) return { kind: 'short work, long wait', work, wait, saves }
    if (wait <= 0) return { kind: 'last hand' }
    return { kind: 'as good as any' }
  })()
  return { pen: best.job.pen, in: Math.max(0, first.wait), why, order: best.order }
}

/** The work up to the next wait, and that wait; 0 when none follows. */
function stretch(pieces: readonly Piece[]): { work: number, wait: number } {
  const next = pieces.findIndex((piece, index) => index > 0 && piece.wait > 0)
  const work = (next < 0 ? pieces : pieces.slice(0, next)).reduce((sum, piece) => sum + piece.handsOn, 0)
  return { work, wait: next < 0 ? 0 : nth(pieces, next).wait }
}

/**
 * How far ahead an evening is played through, pieces of each pen, and how many courses of it are followed at a time [model]. Of many
 * pens less is followed of each, or the answer would come when the wait is over.
 */
const AHEAD = { most: 12, least: 4, ofAll: 120 }
const COURSES = { most: 16, least: 4, ofAll: 80 }

const among = ({ most, least, ofAll }: typeof AHEAD, pens: number) => Math.min(most, Math.max(least, Math.round(ofAll / pens)))

/** A pen in a course of the evening: which piece is next, from when and until when. Times in s from now. */
interface Place {
  at: number
  readyAt: number
  latestAt: number
  /** Whether a wait still follows the next piece: else nobody is kept waiting. */
  feeds: boolean
}

/** One course of the evening so far: what stands, and who was taken up in which order. Times in s. */
interface Course {
  now: number
  standing: number
  pens: readonly Place[]
  order: readonly number[]
}

/** A course with one piece more, weighed before it is made: most are given up. */
interface Further {
  from: Course
  /** Which pen is taken up. */
  index: number
  now: number
  standing: number
  /** What stands, with what stands at that moment counted in. */
  weight: number
}

/**
 * How long pens stand, in pen-seconds, when this one is taken up first and the rest of the evening goes as well as it can: of all
 * courses the few that leave the least standing are followed, one piece of work at a time.
 */
export function play(jobs: readonly Job[], first: string): { standing: number, order: string[] } {
  const pieces = jobs.map(job => job.pieces.slice(0, among(AHEAD, jobs.length)))
  const width = among(COURSES, jobs.length)
  const feeds = pieces.map(all => all.map((_, at) => all.slice(at + 1).some(piece => piece.wait > 0)))
  const place = (index: number, at: number, since: number): Place => {
    const piece = nth(pieces, index)[at]
    return {
      at,
      readyAt: since + Math.max(0, piece?.wait ?? 0),
      latestAt: since + (piece?.latest ?? Infinity),
      feeds: nth(feeds, index)[at] ?? false,
    }
  }
  const start: Course = { now: 0, standing: 0, order: [], pens: pieces.map((_, index) => place(index, 0, 0)) }
  const isOpen = (pen: Place, index: number) => pen.at < nth(pieces, index).length

  function weigh(from: Course, index: number): Further {
    const pen = nth(from.pens, index)
    const begins = Math.max(from.now, pen.readyAt)
    const late = begins > pen.latestAt ? PAST_LATEST * (begins - pen.latestAt) : 0
    const standing = from.standing + (pen.feeds ? begins - pen.readyAt : 0) + late
    const now = begins + nth(nth(pieces, index), pen.at).handsOn
    // The pen that was taken up stands for nothing yet at that moment.
    let stands = 0
    for (const one of from.pens) if (one !== pen && one.feeds && one.readyAt < now) stands += now - one.readyAt
    return { from, index, now, standing, weight: standing + stands + now * 1e-6 }
  }
  function make({ from, index, now, standing }: Further): Course {
    const moved = place(index, nth(from.pens, index).at + 1, now)
    return {
      now,
      standing,
      pens: from.pens.map((one, other) => (other === index ? moved : one)),
      order: from.order.includes(index) ? from.order : [...from.order, index],
    }
  }
  let courses = [make(weigh(start, jobs.findIndex(job => job.pen === first)))]
  for (;;) {
    const further = courses.flatMap(course =>
      course.pens.flatMap((pen, index) => (isOpen(pen, index) ? [weigh(course, index)] : [])),
    )
    if (!further.length) break
    courses = further.sort((a, b) => a.weight - b.weight).slice(0, width).map(make)
  }
  const best = nth(courses, 0)
  return { standing: best.standing, order: best.order.map(index => nth(jobs, index).pen) }
}
