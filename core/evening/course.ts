import { nth } from '../sure'
import { hoursAt, nextHours, whenFree, type Clock } from './hours'
import { SAME, type Block, type Costs } from './problem'
import { costOf, onlyThese, type Chain, type Task } from './task'

/** Evenings somewhere in their course; times in s. Changed in place, since thousands are looked at for one answer. */
export interface Course {
  /** When each pair of hands is free. */
  now: number[]
  /** What each has set up. */
  setUp: number[]
  /** Which piece of each pen is next. */
  at: number[]
  /** When the one before it ended. */
  ended: number[]
  /** Latest times that were missed. */
  missed: number
  /** Wishes that were not held. */
  pinned: number
  /** Promises broken, by their weights. */
  late: number
  /** By how much the latest pen misses its promise, s. */
  lateness: number
  /** The times at which pens were finished, summed, what is past a promise once more, s. */
  finished: number
  /** Time of an evening in which nothing was worked, up to its last piece, s. */
  hands: number
}

export const beginning = (task: Task): Course => {
  const { pens, setUp, crews } = task
  const course: Course = {
    now: crews.map(({ hours }) => hours[0]?.from ?? 0), setUp: crews.map(() => setUp), at: pens.map(() => 0), ended: pens.map(() => 0),
    missed: 0, pinned: 0, late: 0, lateness: 0, finished: 0, hands: 0,
  }
  // A pen on which only something runs by itself is finished without hands.
  pens.forEach((pen, index) => {
    if (!pen.count) finish(task, course, pen, nth(course.ended, index))
  })
  return course
}

export const copyOf = (course: Course): Course => ({
  now: course.now.slice(), setUp: course.setUp.slice(), at: course.at.slice(), ended: course.ended.slice(), missed: course.missed,
  pinned: course.pinned, late: course.late, lateness: course.lateness, finished: course.finished, hands: course.hands,
})
export const costsOf = ({ missed, pinned, late, lateness, finished, hands }: Course): Costs =>
  ({ missed, pinned, late, lateness, finished, hands })
export const isOpen = ({ pens }: Task, course: Course, pen: number): boolean => nth(course.at, pen) < nth(pens, pen).count

/** The pens that may be taken up next. */
export function openPens(task: Task, course: Course): number[] {
  const only = onlyThese(task, course.at)
  if (only) return only
  const open: number[] = []
  for (let pen = 0; pen < task.pens.length; pen++) if (isOpen(task, course, pen)) open.push(pen)
  return open
}

/** Where a pen’s next piece would lie if it were taken up now. */
export interface Place {
  /** Whose hands. */
  crew: number
  /** When hands begin on it. */
  begins: number
  /** The change before it, s. */
  change: number
  /** Whether its latest time is over by then. */
  missed: boolean
}

/**
 * Where a pen’s next piece lies if it is taken up next: as soon as it is ready and what it needs is set up, in hours that hold it whole,
 * by the hands that can begin first; where the piece after it has a latest time, no sooner than so that somebody is there for that.
 */
export function placeOf(task: Task, course: Course, pen: number): Place {
  let best = placeWith(task, course, pen, 0)
  for (let crew = 1; crew < task.crews.length; crew++) {
    const other = placeWith(task, course, pen, crew)
    const difference = other.begins - best.begins || other.change - best.change
    if (difference < 0) best = other
  }
  return best
}

function placeWith(task: Task, course: Course, pen: number, crew: number): Place {
  const clock = nth(task.crews, crew)
  const chain = nth(task.pens, pen)
  const at = nth(course.at, pen)
  const setUp = nth(chain.setUp, at)
  const change = setUp === 0 || setUp === nth(course.setUp, crew) ? 0 : nth(task.changes, setUp)
  const ended = nth(course.ended, pen)
  // Hands can change what is set up while the pen still waits.
  const ready = Math.max(nth(course.now, crew), Math.max(ended + nth(chain.wait, at), nth(chain.from, at)) - change)
  const soonest = whenFree(clock, ready, change + nth(chain.hands, at)) + change
  const begins = (chain.latest[at + 1] ?? Infinity) < Infinity ? inTimeFor(clock, soonest, chain, at, change) : soonest
  return { crew, begins, change, missed: begins > ended + nth(chain.latest, at) + SAME }
}

/** The soonest beginning after which somebody is there for the next piece before its latest time; if none helps, the soonest. */
function inTimeFor(clock: Clock, soonest: number, { hands, wait, latest }: Chain, at: number, change: number): number {
  const [own, next, most] = [nth(hands, at), nth(hands, at + 1), nth(latest, at + 1)]
  const isKept = (begins: number) => {
    const ended = begins + own
    return whenFree(clock, ended + nth(wait, at + 1), next) <= ended + most
  }
  if (isKept(soonest)) return soonest
  for (const { from } of nextHours(clock, soonest)) {
    // So late that the next hours are just in time, or in those themselves.
    for (const wish of [from - most - own, from + change]) {
      const begins = whenFree(clock, Math.max(soonest, wish) - change, change + own) + change
      if (Number.isFinite(begins) && isKept(begins)) return begins
    }
  }
  return soonest
}

/** Takes up a pen’s next piece. */
export function take(task: Task, course: Course, pen: number, place: Place = placeOf(task, course, pen)): void {
  const { begins, missed, crew } = place
  const chain = nth(task.pens, pen)
  const at = nth(course.at, pen)
  const setUp = nth(chain.setUp, at)
  course.hands += stoodAbout(nth(task.crews, crew), nth(course.now, crew), place)
  const ended = begins + nth(chain.hands, at)
  course.now[crew] = ended
  if (setUp) course.setUp[crew] = setUp
  course.at[pen] = at + 1
  course.ended[pen] = ended
  if (missed) course.missed += 1
  if (begins > nth(chain.by, at) + SAME) course.pinned += 1
  if (at + 1 === chain.count) finish(task, course, chain, ended)
}

/**
 * What of the time before a piece counts as hands that did nothing: all of it in one evening, its change included; over night, and after
 * the last hours, the change alone, since whoever has nothing to do goes home.
 */
function stoodAbout(clock: Clock, now: number, { begins, change }: Place): number {
  const evening = hoursAt(clock, now)
  return evening === hoursAt(clock, begins - change) && evening < clock.hours.length - 1 ? begins - now : change
}

function finish(task: Task, course: Course, chain: Chain, ended: number): void {
  const { after, due, weight } = chain
  const finished = ended + after
  course.finished += costOf(task, chain, finished)
  if (finished <= due + SAME) return
  course.late += weight
  course.lateness = Math.max(course.lateness, finished - due)
}

/** The whole course of taking up pens in this order, block by block. */
export function blocksOf(task: Task, order: readonly number[]): Block[] {
  const course = beginning(task)
  return order.map((pen) => {
    const place = placeOf(task, course, pen)
    const step = nth(nth(task.steps, pen), nth(course.at, pen))
    take(task, course, pen, place)
    const ends = nth(course.ended, pen)
    return { pen: nth(task.pens, pen).id, step, ...place, ends, inHours: ends <= nth(task.crews, place.crew).end }
  })
}
