import { nth } from '../sure'
import { leastFrom } from './bound'
import { beginning, copyOf, costsOf, isOpen, placeOf, take, type Course, type Task } from './course'
import { compareCosts, type Costs, type Goal } from './problem'

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

/**
 * The best order there is, or `known` where none is better. Branch and bound: a course is given up when the least it can come to is no
 * less than what is known, or when one with the same pieces behind it was met that is in nothing worse. Undefined when more than `most`
 * courses would have to be looked at. Of orders in which every piece is taken up as soon as it can be.
 */
export function bestOrder(task: Task, known: Way, wanted: readonly Goal[], most: number): Way | undefined {
  let best = known
  let count = 0
  const met = new Map<string, Course[]>()
  const path: number[] = []

  function go(course: Course): void {
    const further: Further[] = []
    for (let pen = 0; pen < task.pens.length; pen++) {
      if (!isOpen(task, course, pen)) continue
      const next = copyOf(course)
      take(task, next, pen, placeOf(task, course, pen))
      further.push({ pen, next, least: leastFrom(task, next) })
    }
    if (!further.length) {
      const costs = costsOf(course)
      if (compareCosts(costs, best.costs, wanted) < 0) best = { order: path.slice(), costs }
      return
    }
    further.sort((a, b) => compareCosts(a.least, b.least, wanted) || a.next.now - b.next.now)
    for (const { pen, next, least } of further) {
      if (compareCosts(least, best.costs, wanted) >= 0) break
      if (isMet(next)) continue
      if (++count > most) return
      path.push(pen)
      go(next)
      path.pop()
    }
  }

  /** Whether a course with the same pieces behind it was met that is in nothing worse; else this one is put down. */
  function isMet(course: Course): boolean {
    const key = `${course.at.join(' ')} ${course.setUp}`
    const all = met.get(key)
    if (!all) {
      met.set(key, [course])
      return false
    }
    if (all.some(one => isNoWorse(task, one, course))) return true
    all.push(course)
    return false
  }

  go(beginning(task))
  return count > most ? undefined : best
}

/** Whether one course is in nothing worse than another that has the same pieces behind it. */
function isNoWorse(task: Task, one: Course, other: Course): boolean {
  if (one.now > other.now || one.missed > other.missed || one.late > other.late) return false
  if (one.lateness > other.lateness || one.finished > other.finished) return false
  for (let pen = 0; pen < task.pens.length; pen++) {
    const at = nth(one.at, pen)
    const { work } = nth(task.pens, pen)
    if (at >= work.length) continue
    const [a, b] = [nth(one.ended, pen), nth(other.ended, pen)]
    // A latest time counts from where the piece before it ended: sooner is not better then.
    if (work[at]?.latest === undefined ? a > b : a !== b) return false
  }
  return true
}
