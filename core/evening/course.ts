import { nth } from '../sure'
import { handsBetween, nextHours, whenFree, type Clock } from './hours'
import type { Block, Costs, EveningPen, EveningProblem, SetUp, Work } from './problem'

/** A problem made ready: its clock, and set-ups as numbers (0: nothing, any other is alike only to itself). */
export interface Task {
  /** The pens. */
  pens: readonly EveningPen[]
  /** When hands are there. */
  clock: Clock
  /** For each pen and piece its set-up. */
  setUps: readonly (readonly number[])[]
  /** What a change to each set-up takes, s. */
  changes: readonly number[]
  /** What is set up in the beginning. */
  first: number
}

/** The set-ups of a problem as numbers, and its clock. @throws RangeError for hours that are none, or work without time */
export function taskOf({ pens, changes, setUp }: EveningProblem, clock: Clock): Task {
  const known = ['']
  const costs = [0]
  const numberOf = (one: SetUp | null | undefined): number => {
    if (!one) return 0
    const key = `${one.kind} ${one.which}`
    const at = known.indexOf(key)
    if (at >= 0) return at
    costs.push(changes[one.kind] ?? 0)
    return known.push(key) - 1
  }
  for (const { work } of pens)
    if (work.some(one => !(one.hands >= 0) || !(one.wait >= 0))) throw new RangeError('Work and waits should take no less than no time.')
  const first = numberOf(setUp)
  return { pens, clock, first, setUps: pens.map(({ work }) => work.map(one => numberOf(one.setUp))), changes: costs }
}

/** Evenings somewhere in their course; times in s. Changed in place, since thousands are looked at for one answer. */
export interface Course {
  /** When the hands are free. */
  now: number
  /** What is set up. */
  setUp: number
  /** Which piece of each pen is next. */
  at: number[]
  /** When the one before it ended. */
  ended: number[]
  /** Latest times that were missed. */
  missed: number
  /** Promises broken, by their weights. */
  late: number
  /** By how much the latest pen misses its promise, s. */
  lateness: number
  /** The times at which pens were finished, summed, s. */
  finished: number
  /** Hours in which nothing was worked, s. */
  hands: number
}

export const beginning = ({ pens, first, clock }: Task): Course => {
  const course: Course = {
    now: clock.hours[0]?.from ?? 0, setUp: first, at: pens.map(() => 0), ended: pens.map(() => 0),
    missed: 0, late: 0, lateness: 0, finished: 0, hands: 0,
  }
  // A pen on which only something runs by itself is finished without hands.
  pens.forEach((pen, index) => {
    if (!pen.work.length) finish(course, pen, nth(course.ended, index))
  })
  return course
}

export const copyOf = (course: Course): Course => ({ ...course, at: course.at.slice(), ended: course.ended.slice() })
export const costsOf = ({ missed, late, lateness, finished, hands }: Course): Costs => ({ missed, late, lateness, finished, hands })
export const isOpen = ({ pens }: Task, course: Course, pen: number): boolean => nth(course.at, pen) < nth(pens, pen).work.length

/** Where a pen’s next piece would lie if it were taken up now. */
export interface Place {
  /** When hands begin on it. */
  begins: number
  /** The change before it, s. */
  change: number
  /** Whether its latest time is over by then. */
  missed: boolean
}

/**
 * Where a pen’s next piece lies if it is taken up next: as soon as it is ready and what it needs is set up, in hours that hold it whole;
 * where the piece after it has a latest time, no sooner than so that somebody is there for that.
 */
export function placeOf(task: Task, course: Course, pen: number): Place {
  const { clock, pens, setUps, changes } = task
  const at = nth(course.at, pen)
  const { work } = nth(pens, pen)
  const piece = nth(work, at)
  const setUp = nth(nth(setUps, pen), at)
  const change = setUp === 0 || setUp === course.setUp ? 0 : nth(changes, setUp)
  const ended = nth(course.ended, pen)
  // Hands can change what is set up while the pen still waits.
  const ready = Math.max(course.now, ended + piece.wait - change)
  const soonest = whenFree(clock, ready, change + piece.hands) + change
  const next = work[at + 1]
  const begins = next?.latest === undefined ? soonest : inTimeFor(clock, soonest, piece, next, change)
  return { begins, change, missed: piece.latest !== undefined && begins > ended + piece.latest + 1e-6 }
}

/** The soonest beginning after which somebody is there for the next piece before its latest time; if none helps, the soonest. */
function inTimeFor(clock: Clock, soonest: number, piece: Work, next: Work, change: number): number {
  const isKept = (begins: number) => {
    const ended = begins + piece.hands
    return whenFree(clock, ended + next.wait, next.hands) <= ended + (next.latest ?? Infinity)
  }
  if (isKept(soonest)) return soonest
  for (const { from } of nextHours(clock, soonest)) {
    // So late that the next hours are just in time, or in those themselves.
    for (const wish of [from - (next.latest ?? 0) - piece.hands, from + change]) {
      const begins = whenFree(clock, Math.max(soonest, wish) - change, change + piece.hands) + change
      if (Number.isFinite(begins) && isKept(begins)) return begins
    }
  }
  return soonest
}

/** Takes up a pen’s next piece. */
export function take(task: Task, course: Course, pen: number, { begins, missed }: Place = placeOf(task, course, pen)): void {
  const at = nth(course.at, pen)
  const whole = nth(task.pens, pen)
  const setUp = nth(nth(task.setUps, pen), at)
  course.hands += handsBetween(task.clock, course.now, begins)
  course.now = begins + nth(whole.work, at).hands
  if (setUp) course.setUp = setUp
  course.at[pen] = at + 1
  course.ended[pen] = course.now
  if (missed) course.missed += 1
  if (at + 1 === whole.work.length) finish(course, whole, course.now)
}

function finish(course: Course, { after = 0, due, weight = 1 }: EveningPen, ended: number): void {
  const finished = ended + after
  course.finished += finished
  if (due === undefined || finished <= due + 1e-6) return
  course.late += weight
  course.lateness = Math.max(course.lateness, finished - due)
}

/** The whole course of taking up pens in this order, block by block. */
export function blocksOf(task: Task, order: readonly number[]): Block[] {
  const course = beginning(task)
  return order.map((pen) => {
    const place = placeOf(task, course, pen)
    const { id, work } = nth(task.pens, pen)
    const { step } = nth(work, nth(course.at, pen))
    take(task, course, pen, place)
    return { pen: id, step, ...place, ends: course.now, inHours: course.now <= task.clock.end }
  })
}
