import { nth } from '../sure'
import { isOpen, type Course, type Task } from './course'
import { handsBetween, whenDone, whenFree } from './hours'
import type { Costs } from './problem'

const up = (a: number, b: number): number => a - b

/** What is left on one pen. */
interface Left {
  /** Hands, s. */
  hands: number
  /** When it is finished if nothing else is done, s. */
  alone: number
  /** What runs by itself after the last of its hands, s. */
  after: number
  due: number
  weight: number
}

/**
 * The least that the rest of a course can come to, goal by goal. Every pen is finished no sooner than alone; hands do one thing after
 * another, so the k-th to be finished is no sooner than the hours hold the work of the k with the least; what misses its promise for both
 * reasons is counted as Moore’s rule (1968) does, and how late the latest is as Jackson’s (1955), both of which nothing can do better than
 * where no pen has to wait; and each set-up that is still needed costs its change once.
 */
export function leastFrom(task: Task, course: Course): Costs {
  const left: Left[] = []
  for (let pen = 0; pen < task.pens.length; pen++) if (isOpen(task, course, pen)) left.push(leftOn(task, course, pen))
  return {
    missed: course.missed,
    late: course.late + leastLate(task, course.now, left),
    lateness: Math.max(course.lateness, leastLateness(task, course.now, left)),
    finished: course.finished + leastFinished(task, course.now, left),
    hands: course.hands + leastChanges(task, course),
  }
}

function leftOn({ pens, clock }: Task, course: Course, pen: number): Left {
  const { work, after = 0, due = Infinity, weight = 1 } = nth(pens, pen)
  let [ended, hands] = [nth(course.ended, pen), 0]
  for (let at = nth(course.at, pen); at < work.length; at++) {
    const piece = nth(work, at)
    ended = whenFree(clock, Math.max(course.now, ended + piece.wait), piece.hands) + piece.hands
    hands += piece.hands
  }
  return { hands, after, alone: ended + after, due, weight }
}

function leastFinished({ clock }: Task, now: number, left: readonly Left[]): number {
  const alone = left.map(one => one.alone).sort(up)
  const hands = left.map(one => one.hands).sort(up)
  let [sum, work] = [0, 0]
  for (let place = 0; place < left.length; place++) {
    work += nth(hands, place)
    sum += Math.max(nth(alone, place), whenDone(clock, now, work))
  }
  return sum
}

function leastLateness({ clock }: Task, now: number, left: readonly Left[]): number {
  let [most, work] = [0, 0]
  for (const one of [...left].sort((a, b) => a.due - a.after - (b.due - b.after))) {
    work += one.hands
    if (one.due < Infinity) most = Math.max(most, one.alone - one.due, whenDone(clock, now, work) + one.after - one.due)
  }
  // Alike due days stand in any order: only what is over with the last of them counts for all, which the largest of them is.
  return most
}

function leastLate({ clock }: Task, now: number, left: readonly Left[]): number {
  const isLost = (one: Left) => one.alone > one.due + 1e-6
  const lost = left.filter(isLost).reduce((sum, one) => sum + one.weight, 0)
  // Of those that could be kept alone, as many as the hours do not hold; at the least by the lightest of them.
  const could = left.filter(one => !isLost(one) && one.due < Infinity).sort((a, b) => a.due - a.after - (b.due - b.after))
  const taken: number[] = []
  let [work, over] = [0, 0]
  for (const { hands, due, after } of could) {
    taken.push(hands)
    work += hands
    if (work <= handsBetween(clock, now, due - after) + 1e-6) continue
    const longest = taken.indexOf(Math.max(...taken))
    work -= nth(taken, longest)
    taken.splice(longest, 1)
    over += 1
  }
  const lightest = could.map(one => one.weight).sort(up).slice(0, over)
  return lost + lightest.reduce((sum, one) => sum + one, 0)
}

function leastChanges(task: Task, course: Course): number {
  const needed = new Set<number>()
  for (let pen = 0; pen < task.pens.length; pen++)
    for (const setUp of nth(task.setUps, pen).slice(nth(course.at, pen))) if (setUp) needed.add(setUp)
  needed.delete(course.setUp)
  let sum = 0
  for (const setUp of needed) sum += nth(task.changes, setUp)
  return sum
}
