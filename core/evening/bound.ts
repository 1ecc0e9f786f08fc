import { nth, num, real, whole } from '../sure'
import { isOpen, type Course } from './course'
import { doneBy, handsBetween, whenDone, whenFree } from './hours'
import { SAME, type Costs } from './problem'
import { counted, type Chain, type Task } from './task'

const up = (a: number, b: number): number => a - b

/** What is left on one pen. */
interface Left {
  /** Hands, with its part of the changes that are still needed, s. */
  hands: number
  /** Hands alone, s. */
  own: number
  /** What its own changes take if nothing else is done, s. */
  changes: number
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
 * where no pen has to wait. A set-up that is still needed costs its change once: it is laid on the pens that need it in equal parts, so any
 * of them together bear no more than they cost. The first to be finished has all its own changes before it, and the k-th at least those of
 * one of the k. All changes together take no less than the cheapest order of set-ups that has those of each pen in theirs.
 */
export function leastFrom(task: Task, course: Course): Costs {
  const { capacity } = task
  // What all hands could have done by now: of each until it is free.
  const now = Math.min(...course.now)
  let spare = 0
  for (const [crew, free] of course.now.entries()) if (free > now) spare += handsBetween(nth(task.crews, crew), now, free)
  const done = doneBy(capacity, now) + spare
  const changes = changesLeft(task, course)
  const left: Left[] = []
  for (let pen = 0; pen < task.pens.length; pen++) if (isOpen(task, course, pen)) left.push(leftOn(task, course, pen, now, changes.part))
  return {
    missed: course.missed,
    pinned: course.pinned,
    late: course.late + leastLate(task, done, left),
    lateness: Math.max(course.lateness, leastLateness(task, done, left)),
    finished: course.finished + leastFinished(task, done, left),
    hands: course.hands + (task.leastChanges?.from(course.at, whole(course.setUp, 0)) ?? changes.sum),
  }
}

function leftOn(task: Task, course: Course, pen: number, now: number, part: Float64Array): Left {
  const chain = nth(task.pens, pen)
  const { after, due, weight } = chain
  const first = whole(course.at, pen)
  const stands = whole(course.setUp, 0)
  const ended = goneOn(task, chain, { first, to: chain.count, ended: real(course.ended, pen), now, setUp: stands })
  const own = real(chain.rest, first)
  const next = whole(chain.firstSetUp, first)
  // With several pairs of hands what it needs may be set up on the other.
  const changes = task.crews.length > 1 ? 0 : real(chain.ownChanges, first) - (next === stands ? real(task.changes, next) : 0)
  return { hands: own + partOf(chain, first, part), own, changes, after, alone: ended + after, due, weight }
}

/** A stretch of a pen’s work from somewhere. */
export interface Stretch {
  /** Its first piece. */
  first: number
  /** The piece before which it ends. */
  to: number
  /** When the piece before it ended, s. */
  ended: number
  /** No sooner than this, s. */
  now: number
  /** What is set up by then; undefined: anything that helps. */
  setUp?: number
}

/**
 * When a stretch of a pen’s work is done at the soonest, if nothing else is: each piece after its wait, in hours that hold it, and after
 * what has to be changed for it, since the piece before it needed something else. When each piece ends is put down in `ends`.
 */
export function goneOn({ crews, changes }: Task, { hands, wait, from, setUp }: Chain, stretch: Stretch, ends?: number[]): number {
  let { ended } = stretch
  let free = stretch.now
  // With several pairs of hands each has its own set-up.
  let stands = crews.length === 1 ? stretch.setUp : undefined
  for (let at = stretch.first; at < stretch.to; at++) {
    const work = real(hands, at)
    const needed = whole(setUp, at)
    const change = needed && stands !== undefined && needed !== stands ? real(changes, needed) : 0
    const changed = change ? whenFree(nth(crews, 0), free, change) + change : free
    const ready = Math.max(changed, ended + real(wait, at), real(from, at))
    let soonest = whenFree(nth(crews, 0), ready, work)
    for (let crew = 1; crew < crews.length; crew++) soonest = Math.min(soonest, whenFree(nth(crews, crew), ready, work))
    ended = soonest + work
    free = ended
    ends?.push(ended)
    // After a piece that needs nothing something else may have been set up for others.
    stands = crews.length === 1 && needed ? needed : undefined
  }
  return ended
}

/** A pen’s part of the changes to what it needs from a piece on. */
function partOf({ needs }: Chain, first: number, part: Float64Array): number {
  let sum = 0
  for (const { setUp, last } of needs) if (last >= first) sum += real(part, setUp)
  return sum
}

/** What the changes to set-ups that are still needed take, each once; in all, and of each the part of a pen that needs it. */
function changesLeft({ pens, changes, crews }: Task, course: Course): { sum: number, part: Float64Array } {
  const wanted = new Int32Array(changes.length)
  for (let pen = 0; pen < pens.length; pen++) {
    const first = whole(course.at, pen)
    for (const { setUp, last } of nth(pens, pen).needs) if (last >= first) wanted[setUp] = whole(wanted, setUp) + 1
  }
  let sum = 0
  const part = changes.map((change, one) => {
    // With several pairs of hands a set-up may be there already on the other.
    const isThere = crews.length === 1 ? course.setUp[0] === one : course.setUp.includes(one)
    const count = whole(wanted, one)
    if (!count || isThere) return 0
    sum += change
    return change / count
  })
  return { sum, part }
}

function leastFinished(task: Task, done: number, left: readonly Left[]): number {
  const alone = left.map(one => one.alone).sort(up)
  const hands = left.map(one => one.hands).sort(up)
  const own = left.map(one => one.own).sort(up)
  const changes = left.map(one => one.changes).sort(up)
  const first = Math.min(...left.map(one => one.own + one.changes))
  let [sum, shared, work] = [0, 0, 0]
  for (let place = 0; place < left.length; place++) {
    shared += num(hands, place)
    work += num(own, place)
    // Among any k pens is one that has at least the k-th least of changes.
    const all = Math.max(shared, work + num(changes, place), first)
    sum += counted(task, Math.max(num(alone, place), whenDone(task.capacity, done + all)))
  }
  // What is late already if nothing else is done.
  for (const one of left) if (one.alone > one.due + SAME) sum += one.weight * (counted(task, one.alone) - one.due)
  return sum
}

function leastLateness({ capacity }: Task, done: number, left: readonly Left[]): number {
  let [most, work] = [0, done]
  for (const one of [...left].sort((a, b) => a.due - a.after - (b.due - b.after))) {
    work += one.hands
    if (one.due < Infinity) most = Math.max(most, one.alone - one.due, whenDone(capacity, work) + one.after - one.due)
  }
  // Alike due days stand in any order: only what is over with the last of them counts for all, which the largest of them is.
  return most
}

function leastLate({ capacity }: Task, done: number, left: readonly Left[]): number {
  const isLost = (one: Left) => one.alone > one.due + SAME
  const lost = left.filter(isLost).reduce((sum, one) => sum + one.weight, 0)
  // Of those that could be kept alone, as many as the hours do not hold; at the least by the lightest of them.
  const could = left.filter(one => !isLost(one) && one.due < Infinity).sort((a, b) => a.due - a.after - (b.due - b.after))
  const taken: number[] = []
  let [work, over] = [0, 0]
  for (const { hands, due, after } of could) {
    taken.push(hands)
    work += hands
    if (work <= doneBy(capacity, due - after) - done + SAME) continue
    const longest = taken.indexOf(Math.max(...taken))
    work -= nth(taken, longest)
    taken.splice(longest, 1)
    over += 1
  }
  const lightest = could.map(one => one.weight).sort(up).slice(0, over)
  return lost + lightest.reduce((sum, one) => sum + one, 0)
}
