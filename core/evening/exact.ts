import { nth, real, whole } from '../sure'
import { leastFrom } from './bound'
import { beginning, copyOf, costsOf, openPens, take, type Course } from './course'
import { eveningOf } from './hours'
import { compareCosts, SAME, type Costs, type Goal } from './problem'
import { beforeHands, leastStanding } from './standing-bound'
import type { Task } from './task'

/** An order in which pens are taken up, piece by piece, and what it comes to. */
export interface Way {
  /** The pens, each as often as it has pieces. */
  order: readonly number[]
  /** By goal. */
  costs: Costs
}

/** One pen taken up. */
interface Further {
  pen: number
  next: Course
  least: Costs
}

/** A search for the best order on its way: the best so far, and whether nothing is left to look at. */
export interface Search {
  /** The best order known. */
  best: Way
  /** Whether every other is known to be no better. */
  whole: boolean
}

/**
 * The best order there is, or `known` where none is better. Branch and bound, depth first: a course is given up when the least it can come
 * to is no less than what is known, or when one with the same pieces behind it was met that is in nothing worse. Of orders in which every
 * piece is taken up as soon as it can be. An order that saves less than `within` s of hands, and is no better in what comes before that, is
 * not looked for. Told after every so many courses (`every`), so that one can stop at any time; a better order
 * found elsewhere meanwhile is handed in by `next`.
 */
export function* searching(
  task: Task, known: Way, wanted: readonly Goal[], every: number, within = 0,
): Generator<Search, undefined, Way | undefined> {
  let best = known
  let count = 0
  const met: Met = new Map()
  const path: number[] = []
  const goesOn = (course: Course) => furtherOf(task, course, wanted, best.costs, met)
  const stack: { further: Further[], at: number }[] = [{ further: goesOn(beginning(task)), at: 0 }]
  for (let top = stack.at(-1); top; top = stack.at(-1)) {
    const one = top.further[top.at++]
    if (!one || compareCosts({ ...one.least, hands: one.least.hands + within }, best.costs, wanted) >= 0) {
      stack.pop()
      path.pop()
      continue
    }
    if (isMet(task, met, one.next, wanted.includes('hands'))) continue
    if (++count % every === 0) {
      const other = yield { best, whole: false }
      if (other && compareCosts(other.costs, best.costs, wanted) < 0) best = other
    }
    if (openPens(task, one.next).length) {
      path.push(one.pen)
      stack.push({ further: goesOn(one.next), at: 0 })
    } else {
      const costs = costsOf(one.next)
      if (compareCosts(costs, best.costs, wanted) < 0) best = { order: [...path, one.pen], costs }
    }
  }
  yield { best, whole: true }
}

/** Each pen taken up next, the most promising first; without those that came to what was met, whose least is not worth asking for. */
function furtherOf(task: Task, course: Course, wanted: readonly Goal[], known: Costs, met: Met): Further[] {
  const countsHands = wanted.includes('hands')
  const further: Further[] = []
  for (const pen of openPens(task, course)) {
    const next = copyOf(course)
    take(task, next, pen)
    if (!isWorse(task, met.get(keyOf(next)), next, countsHands))
      further.push({ pen, next, least: leastOnTime(task, next, known, wanted) })
  }
  return further.sort((a, b) =>
    compareCosts(a.least, b.least, wanted) || a.next.finished - b.next.finished || nowOf(a.next) - nowOf(b.next))
}

/** The least a course can come to; where only less time of hands would still be better, with what has to be stood about for that. */
function leastOnTime(task: Task, course: Course, known: Costs, wanted: readonly Goal[]): Costs {
  const least = leastFrom(task, course)
  const before = beforeHands(wanted)
  if (!before || compareCosts(least, known, before) !== 0) return least
  return { ...least, hands: Math.max(least.hands, course.hands + leastStanding(task, course, known.finished)) }
}

/** The courses that were met, by the pieces behind them and what is set up. */
type Met = Map<string, Course[]>
const keyOf = ({ at, setUp }: Course): string => String.fromCharCode(...at, ...setUp)

/** Whether one of these courses, which have the same pieces behind them, is in nothing worse. */
function isWorse(task: Task, all: readonly Course[] | undefined, course: Course, countsHands: boolean): boolean {
  if (all) for (const one of all) if (isNoWorse(task, one, course, countsHands)) return true
  return false
}

/** Whether a course with the same pieces behind it was met that is in nothing worse; else this one is put down. */
function isMet(task: Task, met: Met, course: Course, countsHands: boolean): boolean {
  const key = keyOf(course)
  const all = met.get(key)
  if (isWorse(task, all, course, countsHands)) return true
  if (!all) met.set(key, [course])
  else if (all.length < MOST_MET) all.push(course)
  return false
}
/** So many courses with the same pieces behind them are kept to compare with: more would take longer than they save. */
const MOST_MET = 30

const nowOf = ({ now }: Course): number => nth(now, 0)

/**
 * Whether one course is in nothing worse than another that has the same pieces behind it: whatever the other goes on with, this one can
 * too. Where hands count, those that are free sooner in the same evening may have to stand about until then.
 */
function isNoWorse(task: Task, one: Course, other: Course, countsHands: boolean): boolean {
  if (real(one.now, 0) > real(other.now, 0)) return false
  if (one.missed > other.missed || one.pinned > other.pinned || one.late > other.late) return false
  if (one.lateness > other.lateness || one.finished > other.finished) return false
  for (let crew = 1; crew < one.now.length; crew++) if (real(one.now, crew) > real(other.now, crew)) return false
  if (countsHands && one.hands + standsUntil(task, one, other) > other.hands + SAME) return false
  const free = one.now.length === 1 ? real(one.now, 0) : Math.min(...one.now)
  const { first, latest, wait } = task.columns
  for (let pen = 0; pen < one.at.length; pen++) {
    const piece = whole(first, pen) + whole(one.at, pen)
    if (piece === whole(first, pen + 1)) continue
    const [a, b] = [real(one.ended, pen), real(other.ended, pen)]
    if (a === b) continue
    // A latest time counts from where the piece before it ended: sooner is not better then.
    if (real(latest, piece) < Infinity || (a > b && a + real(wait, piece) > free)) return false
  }
  return true
}

/** What hands stand about that are free in one course until they are in another, evening by evening, s. */
function standsUntil({ crews }: Task, one: Course, other: Course): number {
  let sum = 0
  for (const [crew, clock] of crews.entries()) {
    const [sooner, later] = [real(one.now, crew), real(other.now, crew)]
    if (sooner < later && eveningOf(clock, sooner) === eveningOf(clock, later) && later <= clock.end) sum += later - sooner
  }
  return sum
}
