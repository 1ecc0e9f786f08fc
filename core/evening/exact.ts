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
  const met = new Map<string, Course[]>()
  const path: number[] = []
  const stack: { further: Further[], at: number }[] = [{ further: furtherOf(task, beginning(task), wanted, best.costs), at: 0 }]
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
    const further = furtherOf(task, one.next, wanted, best.costs)
    if (further.length) {
      path.push(one.pen)
      stack.push({ further, at: 0 })
    } else {
      const costs = costsOf(one.next)
      if (compareCosts(costs, best.costs, wanted) < 0) best = { order: [...path, one.pen], costs }
    }
  }
  yield { best, whole: true }
}

/** Each pen taken up next, the most promising first. */
function furtherOf(task: Task, course: Course, wanted: readonly Goal[], known: Costs): Further[] {
  const further = openPens(task, course).map((pen): Further => {
    const next = copyOf(course)
    take(task, next, pen)
    return { pen, next, least: leastOnTime(task, next, known, wanted) }
  })
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

/** Whether a course with the same pieces behind it was met that is in nothing worse; else this one is put down. */
function isMet(task: Task, met: Map<string, Course[]>, course: Course, countsHands: boolean): boolean {
  const key = String.fromCharCode(...course.at, ...course.setUp)
  const all = met.get(key)
  if (!all) {
    met.set(key, [course])
    return false
  }
  for (const one of all) if (isNoWorse(task, one, course, countsHands)) return true
  if (all.length < MOST_MET) all.push(course)
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
  if (one.missed > other.missed || one.pinned > other.pinned || one.late > other.late) return false
  if (one.lateness > other.lateness || one.finished > other.finished) return false
  for (let crew = 0; crew < one.now.length; crew++) if (real(one.now, crew) > real(other.now, crew)) return false
  if (countsHands && one.hands + standsUntil(task, one, other) > other.hands + SAME) return false
  const free = Math.min(...one.now)
  for (let pen = 0; pen < task.pens.length; pen++) {
    const at = whole(one.at, pen)
    const { count, latest, wait } = nth(task.pens, pen)
    if (at >= count) continue
    const [a, b] = [real(one.ended, pen), real(other.ended, pen)]
    if (a === b) continue
    // A latest time counts from where the piece before it ended: sooner is not better then.
    if (real(latest, at) < Infinity || (a > b && a + real(wait, at) > free)) return false
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
