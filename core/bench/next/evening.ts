import { nth } from '../../sure'
import type { Job } from './job'

/** A pen that stands past its latest time counts this many times over [model]. */
export const PAST_LATEST = 10

/** A way through the rest of an evening. */
export interface Way {
  /** Pen-seconds that pens stand in all. */
  standing: number
  /** The pens in the order in which their pieces are taken up. */
  taken: readonly number[]
}

/** What one pen has before it, by its pieces. */
export interface Chain {
  /**
   * So many of them matter: those after them keep nobody waiting and cannot come too late, so they come last. Where a latest time counts
   * from what is still to be done all matter: a piece put in before it can keep two such times from falling together.
   */
  count: number
  /** What runs by itself before each, s. */
  wait: readonly number[]
  /** The work of each, s. */
  work: readonly number[]
  /** By when each must have begun after the one before it, s; Infinity where there is no such time. */
  latest: readonly number[]
  /** Whether a wait still follows, so that the pen stands while nobody takes it up. */
  feeds: readonly boolean[]
  /** Work and waits up to the beginning of the last one that feeds, s; 0 from there on. */
  alone: readonly number[]
  /** The work in that, s. */
  hands: readonly number[]
  /** The work up to the next wait in that, s: all of it where none comes. */
  stretch: readonly number[]
  /** Whether one after it has a latest time, which counts from what is done before. */
  bound: readonly boolean[]
}

/** The pens of an evening, in the order of the jobs. */
export type Evening = readonly Chain[]

/** What matters of jobs for the order in which they are taken up, so many pieces of each ahead. */
export function eveningOf(jobs: readonly Job[], ahead: number): Evening {
  const bound = jobs.some(({ pieces }) => pieces.slice(1).some(piece => piece.latest !== undefined))
  return jobs.map(({ pieces }) => {
    const feeding = pieces.map((_, at) => pieces.slice(at + 1).some(piece => piece.wait > 0))
    const matters = Math.max(feeding.lastIndexOf(true), pieces.findLastIndex(piece => piece.latest !== undefined)) + 1
    const ends = bound ? pieces.length : matters
    const count = Math.min(ahead, ends)
    const taken = pieces.slice(0, Math.max(1, count))
    const feeds = feeding.slice(0, taken.length)
    const last = feeds.lastIndexOf(true)
    const rest = (of: (at: number) => number) =>
      taken.map((_, from) => taken.slice(from, Math.max(from, last)).reduce((sum, _piece, offset) => sum + of(from + offset), 0))
    return {
      count,
      wait: taken.map(piece => Math.max(0, piece.wait)),
      work: taken.map(piece => piece.handsOn),
      latest: taken.map(piece => piece.latest ?? Infinity),
      feeds,
      alone: rest(at => nth(taken, at).handsOn + Math.max(0, nth(taken, at + 1).wait)),
      hands: rest(at => nth(taken, at).handsOn),
      stretch: taken.map((_, from) => {
        const waits = taken.findIndex((piece, at) => at > from && piece.wait > 0)
        const to = waits < 0 ? Math.max(from, last) : Math.min(waits, Math.max(from, last))
        return taken.slice(from, to).reduce((sum, piece) => sum + piece.handsOn, 0)
      }),
      bound: taken.map((_, from) => taken.slice(from + 1).some(piece => piece.latest !== undefined)),
    }
  })
}

/** An evening somewhere in its course; times in s from its beginning. Changed in place, since thousands are looked at for one answer. */
export interface Course {
  /** When the hands are free. */
  now: number
  /** Pen-seconds that pens have stood which were taken up since, with what came past its latest time. */
  standing: number
  /** Which piece of each pen is next. */
  at: number[]
  /** From when on it can be begun. */
  ready: number[]
  /** By when it must have begun. */
  latest: number[]
}

/** An evening before anything is taken up. */
export const beginning = (evening: Evening): Course => ({
  now: 0,
  standing: 0,
  at: evening.map(() => 0),
  ready: evening.map(chain => chain.wait[0] ?? 0),
  latest: evening.map(chain => chain.latest[0] ?? Infinity),
})

/** The same once more, to go on from. */
export const copyOf = ({ now, standing, at, ready, latest }: Course): Course =>
  ({ now, standing, at: at.slice(), ready: ready.slice(), latest: latest.slice() })

/** Whether something that matters is left on a pen. */
export const isOpen = (evening: Evening, course: Course, pen: number): boolean => nth(course.at, pen) < nth(evening, pen).count

/** Takes up a pen’s next piece as soon as it is ready. */
export function take(evening: Evening, course: Course, pen: number): void {
  const chain = nth(evening, pen)
  const at = nth(course.at, pen)
  const ready = nth(course.ready, pen)
  const begins = Math.max(course.now, ready)
  if (chain.feeds[at]) course.standing += begins - ready
  course.standing += PAST_LATEST * Math.max(0, begins - nth(course.latest, pen))
  course.now = begins + nth(chain.work, at)
  course.at[pen] = at + 1
  course.ready[pen] = course.now + (chain.wait[at + 1] ?? 0)
  course.latest[pen] = course.now + (chain.latest[at + 1] ?? Infinity)
}

/** A pen in a bound: how much work it is to somewhere on its way, and when it is there at the soonest, s. */
interface Goal {
  hands: number
  alone: number
}

/**
 * The least that the rest of an evening can add to what has stood, pen-seconds. Of every pen some place on its way is looked at: its
 * last wait, the next one, or the next one where much work comes before it. Each gets there no sooner than alone; and hands do one thing
 * after another, so the k-th is not there before the work of the k with the least is done.
 */
export function leastMore(evening: Evening, course: Course): number {
  let stands = 0
  const last: Goal[] = []
  const next: Goal[] = []
  const mixed: Goal[] = []
  for (let pen = 0; pen < evening.length; pen++) {
    if (!isOpen(evening, course, pen)) continue
    const chain = nth(evening, pen)
    const at = nth(course.at, pen)
    const ready = nth(course.ready, pen)
    const begins = Math.max(course.now, ready)
    stands += PAST_LATEST * Math.max(0, begins - nth(course.latest, pen))
    if (!chain.feeds[at]) continue
    stands += begins - ready
    const toLast = { hands: nth(chain.hands, at), alone: begins + nth(chain.alone, at) }
    const toNext = { hands: nth(chain.stretch, at), alone: begins + nth(chain.stretch, at) }
    last.push(toLast)
    next.push(toNext)
    mixed.push(toNext.hands > MUCH ? toNext : toLast)
  }
  return stands + Math.max(delay(last, course.now), delay(next, course.now), delay(mixed, course.now))
}

/** So much work at a stretch is much, s: in that time a coat waits for the next one. */
const MUCH = 100

/** How much later than alone pens get to their goals at least, in all. */
function delay(goals: readonly Goal[], now: number): number {
  const alone = goals.map(goal => goal.alone).sort(up)
  const hands = goals.map(goal => goal.hands).sort(up)
  let [done, sum] = [now, 0]
  for (let place = 0; place < goals.length; place++) {
    done += nth(hands, place)
    sum += Math.max(0, done - nth(alone, place))
  }
  return sum
}

const up = (a: number, b: number): number => a - b
