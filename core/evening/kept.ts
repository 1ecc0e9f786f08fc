import { nth, num } from '../sure'
import { beginning, copyOf, costsOf, isOpen, putBack, take, type Course } from './course'
import type { Costs } from './problem'
import { onlyThese, type Task } from './task'

/** So many pieces lie between two places at which the course of an order is kept, to go on from or to meet again. */
const KEPT_EVERY = 16

/** Whether a pen may be taken up next, by what is left of it and by what the turner wants. */
function isAllowed(task: Task, course: Course, pen: number): boolean {
  if (!isOpen(task, course, pen)) return false
  const only = onlyThese(task, course.at)
  return !only || only.includes(pen)
}

/** What an order comes to; undefined where the turner’s wishes bar it. */
export function costsOfOrder(task: Task, order: readonly number[]): Costs | undefined {
  const course = beginning(task)
  return order.every(pen => isAllowed(task, course, pen) && (take(task, course, pen), true)) ? costsOf(course) : undefined
}

/** An order that was changed over a stretch. */
export interface Changed {
  /** The whole of it. */
  order: readonly number[]
  /** The first place that may be another. */
  from: number
  /** The place from which on nothing is. */
  to: number
}

/**
 * An order with its course at every so many pieces: a changed one is counted from the change on, and no further than to where everything
 * stands as it did before.
 */
export class Kept {
  order: readonly number[] = []
  costs: Costs
  private readonly courses: Course[] = []
  private readonly course: Course

  constructor(private readonly task: Task, order: readonly number[]) {
    this.course = beginning(task)
    this.costs = costsOf(this.course)
    this.courses.push(beginning(task))
    this.put(order)
  }

  /** The course of the order before a place, at the nearest one that is kept; to be left as it is. */
  before(place: number): { at: number, course: Course } {
    const kept = Math.floor(place / KEPT_EVERY)
    return { at: kept * KEPT_EVERY, course: nth(this.courses, kept) }
  }

  /** What a changed order comes to; undefined where a wish bars it. */
  count({ order, from, to }: Changed): Costs | undefined {
    const { course, task } = this
    const { at: first, course: known } = this.before(from)
    putBack(course, known)
    for (let at = first; at < order.length; at++) {
      if (at >= to && at % KEPT_EVERY === 0 && this.isMet(at / KEPT_EVERY)) return this.withRest(nth(this.courses, at / KEPT_EVERY))
      const pen = num(order, at)
      if (!isAllowed(task, course, pen)) return undefined
      take(task, course, pen)
    }
    return costsOf(course)
  }

  /** Takes an order in the place of the one before it; it is another from a place on. */
  put(order: readonly number[], from = 0): void {
    const { course, task } = this
    const { at: first, course: known } = this.before(from)
    putBack(course, known)
    for (let at = first; at < order.length; at++) {
      if (at % KEPT_EVERY === 0) this.keep(at / KEPT_EVERY)
      take(task, course, num(order, at))
    }
    this.order = order
    this.costs = costsOf(course)
  }

  private keep(place: number): void {
    const there = this.courses[place]
    if (there) putBack(there, this.course)
    else this.courses.push(copyOf(this.course))
  }

  /** Whether everything stands as it did at a place of the order that is kept: the same pieces are behind it there. */
  private isMet(place: number): boolean {
    const known = nth(this.courses, place)
    if (this.course.lateness !== known.lateness) return false
    return isAlike(this.course.now, known.now) && isAlike(this.course.setUp, known.setUp) && isAlike(this.course.ended, known.ended)
  }

  /** What it comes to when all that follows is as it was after a course that was kept. */
  private withRest(known: Course): Costs {
    const { course, costs } = this
    return {
      missed: course.missed + costs.missed - known.missed, pinned: course.pinned + costs.pinned - known.pinned,
      late: course.late + costs.late - known.late, finished: course.finished + costs.finished - known.finished,
      hands: course.hands + costs.hands - known.hands, lateness: costs.lateness,
    }
  }
}

function isAlike(one: ArrayLike<number>, other: ArrayLike<number>): boolean {
  for (let at = 0; at < one.length; at++) if (one[at] !== other[at]) return false
  return true
}
