import { must, nth, real, whole } from '../sure'
import { eveningOf, hoursFrom, nextHours, whenFree, type Clock } from './hours'
import { SAME, type Block, type Costs } from './problem'
import { costOf, onlyThese, type Chain, type Task } from './task'

/** Evenings somewhere in their course; times in s. Changed in place, since millions are looked at for one answer. */
export interface Course {
  /** When each pair of hands is free. */
  now: Float64Array
  /** No earlier hours of each are looked at. */
  evening: Int32Array
  /** What each has set up. */
  setUp: Int32Array
  /** Which piece of each pen is next. */
  at: Int32Array
  /** When the one before it ended. */
  ended: Float64Array
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
    now: Float64Array.from(crews, ({ from }) => real(from, 0)), evening: new Int32Array(crews.length),
    setUp: new Int32Array(crews.length).fill(setUp), at: new Int32Array(pens.length), ended: new Float64Array(pens.length),
    missed: 0, pinned: 0, late: 0, lateness: 0, finished: 0, hands: 0,
  }
  // A pen on which only something runs by itself is finished without hands.
  pens.forEach((pen, index) => {
    if (!pen.count) finish(task, course, pen, real(course.ended, index))
  })
  return course
}

export const copyOf = (course: Course): Course => ({
  now: course.now.slice(), evening: course.evening.slice(), setUp: course.setUp.slice(), at: course.at.slice(),
  ended: course.ended.slice(), missed: course.missed, pinned: course.pinned, late: course.late, lateness: course.lateness,
  finished: course.finished, hands: course.hands,
})

/** Puts one course in the place of another of the same task. */
export function putBack(course: Course, known: Course): void {
  course.now.set(known.now)
  course.evening.set(known.evening)
  course.setUp.set(known.setUp)
  course.at.set(known.at)
  course.ended.set(known.ended)
  course.missed = known.missed
  course.pinned = known.pinned
  course.late = known.late
  course.lateness = known.lateness
  course.finished = known.finished
  course.hands = known.hands
}

export const costsOf = ({ missed, pinned, late, lateness, finished, hands }: Course): Costs =>
  ({ missed, pinned, late, lateness, finished, hands })
export const isOpen = ({ columns: { first } }: Task, { at }: Course, pen: number): boolean =>
  whole(first, pen) + whole(at, pen) < whole(first, pen + 1)

/** The pens that may be taken up next. */
export function openPens(task: Task, course: Course): number[] {
  const only = onlyThese(task, course.at)
  if (only) return only
  const open: number[] = []
  for (let pen = 0; pen < task.pens.length; pen++) if (isOpen(task, course, pen)) open.push(pen)
  return open
}

/** The clock of a pair of hands. */
const clockOfCrew = ({ crews }: Task, crew: number): Clock => must(crews[crew], 'a crew has its clock')

/** Which hands take up a pen’s next piece: those that can begin first, of them those with less to change. */
export function crewFor(task: Task, course: Course, pen: number): number {
  const { length } = course.now
  if (length === 1) return 0
  let best = 0
  let begins = beginsAt(task, course, pen, 0)
  for (let crew = 1; crew < length; crew++) {
    const soonest = beginsAt(task, course, pen, crew)
    const difference = soonest - begins || changeFor(task, course, pen, crew) - changeFor(task, course, pen, best)
    if (difference < 0) [best, begins] = [crew, soonest]
  }
  return best
}

/** What has to be changed for a pen’s next piece, s. */
export function changeFor({ columns, changes }: Task, course: Course, pen: number, crew: number): number {
  const setUp = whole(columns.setUp, whole(columns.first, pen) + whole(course.at, pen))
  return setUp === 0 || setUp === whole(course.setUp, crew) ? 0 : real(changes, setUp)
}

/** When a pen’s next piece is ready for hands, s: its wait is over. */
export function readyAt({ columns }: Task, course: Course, pen: number): number {
  const piece = whole(columns.first, pen) + whole(course.at, pen)
  const waited = real(course.ended, pen) + real(columns.wait, piece)
  const from = real(columns.from, piece)
  return waited > from ? waited : from
}

/**
 * When hands begin on a pen’s next piece if it is taken up next: as soon as it is ready and what it needs is set up, in hours that hold
 * it whole; where the piece after it has a latest time, no sooner than so that somebody is there for that.
 */
export function beginsAt(
  task: Task, course: Course, pen: number, crew: number, change = changeFor(task, course, pen, crew),
): number {
  const { columns } = task
  const clock = clockOfCrew(task, crew)
  const piece = whole(columns.first, pen) + whole(course.at, pen)
  // Hands can change what is set up while the pen still waits.
  const ready = Math.max(real(course.now, crew), readyAt(task, course, pen) - change)
  const soonest = whenFree(clock, ready, change + real(columns.hands, piece), whole(course.evening, crew)) + change
  if (piece + 1 >= whole(columns.first, pen + 1) || real(columns.latest, piece + 1) === Infinity) return soonest
  return inTimeFor(clock, soonest, nth(task.pens, pen), whole(course.at, pen), change)
}

/** The soonest beginning after which somebody is there for the next piece before its latest time; if none helps, the soonest. */
function inTimeFor(clock: Clock, soonest: number, { hands, wait, latest }: Chain, at: number, change: number): number {
  const [own, next, most] = [real(hands, at), real(hands, at + 1), real(latest, at + 1)]
  const isKept = (begins: number) => {
    const ended = begins + own
    return whenFree(clock, ended + real(wait, at + 1), next) <= ended + most
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
export function take(task: Task, course: Course, pen: number): void {
  const crew = crewFor(task, course, pen)
  takeAt(task, course, pen, crew, beginsAt(task, course, pen, crew))
}

/** Takes up a pen’s next piece with the hands that are known to begin on it then. */
export function takeAt(task: Task, course: Course, pen: number, crew: number, begins: number): void {
  const { columns } = task
  const piece = whole(columns.first, pen) + whole(course.at, pen)
  const change = changeFor(task, course, pen, crew)
  const setUp = whole(columns.setUp, piece)
  if (begins > real(course.ended, pen) + real(columns.latest, piece) + SAME) course.missed += 1
  if (begins > real(columns.by, piece) + SAME) course.pinned += 1
  course.hands += stoodAbout(clockOfCrew(task, crew), course, crew, begins - change, change)
  const ended = begins + real(columns.hands, piece)
  course.now[crew] = ended
  if (setUp) course.setUp[crew] = setUp
  course.at[pen] = whole(course.at, pen) + 1
  course.ended[pen] = ended
  if (piece + 1 === whole(columns.first, pen + 1)) finish(task, course, nth(task.pens, pen), ended)
}

/**
 * What of the time before a piece counts as hands that did nothing: all of it in one evening, its change included; over night, and after
 * the last hours, the change alone, since whoever has nothing to do goes home.
 */
function stoodAbout(clock: Clock, course: Course, crew: number, turns: number, change: number): number {
  const now = real(course.now, crew)
  const evening = eveningOf(clock, now, whole(course.evening, crew))
  const then = hoursFrom(clock, turns, evening)
  course.evening[crew] = then
  return evening === then && evening < clock.to.length - 1 ? turns + change - now : change
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
export function blocksOf(task: Task, order: ArrayLike<number>): Block[] {
  const course = beginning(task)
  return Array.from(order, (pen) => {
    const crew = crewFor(task, course, pen)
    const begins = beginsAt(task, course, pen, crew)
    const change = changeFor(task, course, pen, crew)
    const step = nth(nth(task.steps, pen), whole(course.at, pen))
    const missed = course.missed
    takeAt(task, course, pen, crew, begins)
    const ends = real(course.ended, pen)
    const isMissed = course.missed > missed
    return {
      pen: nth(task.pens, pen).id, step, crew, begins, change, ends, missed: isMissed, inHours: ends <= clockOfCrew(task, crew).end,
    }
  })
}
