import { nth, whole } from '../sure'
import { beginning, isOpen, readyAt, take, type Course } from './course'
import { onlyThese, type Task } from './task'

/** An order as people keep to it: what came of it, and the order in which it was done. */
export interface Followed {
  /** Everything done. */
  course: Course
  /** The pens, each as often as it has pieces. */
  order: readonly number[]
}

/**
 * The course of evenings in which hands keep to an order as people do: the first piece of it that is ready, or will be while one stands by
 * for so long (s), is taken up; one whose wait goes on lets those after it pass. What the turner wants first or in one go is so.
 */
export function followed(task: Task, order: readonly number[], standsBy: number): Followed {
  const course = beginning(task)
  const places = placesOf(task, order)
  const done: number[] = []
  while (done.length < order.length) {
    const now = Math.min(...course.now)
    const only = onlyThese(task, course.at)
    let [chosen, first, soon, soonest] = [-1, Infinity, -1, Infinity]
    for (let pen = 0; pen < task.pens.length; pen++) {
      if (!isOpen(task, course, pen) || (only && !only.includes(pen))) continue
      const ready = readyAt(task, course, pen)
      if (ready < soonest) [soon, soonest] = [pen, ready]
      const place = nth(nth(places, pen), whole(course.at, pen))
      if (place < first && ready <= now + standsBy) [chosen, first] = [pen, place]
    }
    const next = chosen < 0 ? soon : chosen
    take(task, course, next)
    done.push(next)
  }
  return { course, order: done }
}

/** Where in an order each piece of each pen stands. */
function placesOf(task: Task, order: readonly number[]): number[][] {
  const places: number[][] = task.pens.map(() => [])
  order.forEach((pen, place) => nth(places, pen).push(place))
  return places
}
