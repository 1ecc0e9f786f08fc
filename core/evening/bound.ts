import { nth, real, whole } from '../sure'
import { isOpen, type Course } from './course'
import { doneBy, handsBetween, hoursAt, hoursFrom, whenDone, whenFree, type Clock } from './hours'
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
  const [clock] = crews.length === 1 ? crews : []
  let stands = clock ? stretch.setUp : undefined
  let hour = clock ? hoursAt(clock, free) : 0
  for (let at = stretch.first; at < stretch.to; at++) {
    const work = real(hands, at)
    const needed = whole(setUp, at)
    const change = needed && stands !== undefined && needed !== stands ? real(changes, needed) : 0
    const changed = change && clock ? whenFree(clock, free, change, hour) + change : free
    const ready = Math.max(changed, ended + real(wait, at), real(from, at))
    const begins = clock ? whenFree(clock, ready, work, hour) : soonestOf(crews, ready, work)
    if (clock) hour = hoursFrom(clock, begins, hour)
    ended = begins + work
    free = ended
    ends?.push(ended)
    // After a piece that needs nothing something else may have been set up for others.
    stands = clock && needed ? needed : undefined
  }
  return ended
}

/** From when on any of several pairs of hands is there for so long at a stretch, s. */
const soonestOf = (crews: readonly Clock[], from: number, length: number): number =>
  crews.reduce((soonest, crew) => Math.min(soonest, whenFree(crew, from, length)), Infinity)

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
  // With several pairs of hands a set-up may be there already on the other.
  for (let crew = 0; crew < crews.length; crew++) wanted[whole(course.setUp, crew)] = 0
  const part = new Float64Array(changes.length)
  let sum = 0
  for (let one = 0; one < part.length; one++) {
    const count = whole(wanted, one)
    if (!count) continue
    const change = real(changes, one)
    sum += change
    part[one] = change / count
  }
  return { sum, part }
}

function leastFinished(task: Task, done: number, left: readonly Left[]): number {
  const alone = sorted(left, one => one.alone)
  const hands = sorted(left, one => one.hands)
  const own = sorted(left, one => one.own)
  const changes = sorted(left, one => one.changes)
  const first = left.reduce((least, one) => Math.min(least, one.own + one.changes), Infinity)
  let [sum, shared, work] = [0, 0, 0]
  for (let place = 0; place < left.length; place++) {
    shared += real(hands, place)
    work += real(own, place)
    // Among any k pens is one that has at least the k-th least of changes.
    const all = Math.max(shared, work + real(changes, place), first)
    sum += counted(task, Math.max(real(alone, place), whenDone(task.capacity, done + all)))
  }
  // What is late already if nothing else is done.
  for (const one of left) if (one.alone > one.due + SAME) sum += one.weight * (counted(task, one.alone) - one.due)
  return sum
}

/** Values from the least up, each put in its place: quicker than a sort where they are few, and it is asked for each course. */
function sorted(left: readonly Left[], valueOf: (one: Left) => number): Float64Array {
  const values = new Float64Array(left.length)
  for (let count = 0; count < left.length; count++) {
    const value = valueOf(nth(left, count))
    let at = count
    for (; at > 0 && real(values, at - 1) > value; at--) values[at] = real(values, at - 1)
    values[at] = value
  }
  return values
}

function leastLateness({ capacity }: Task, done: number, left: readonly Left[]): number {
  let [most, work] = [0, done]
  const promised = left.filter(one => one.due < Infinity)
  for (const one of promised.sort((a, b) => a.due - a.after - (b.due - b.after))) {
    work += one.hands
    most = Math.max(most, one.alone - one.due, whenDone(capacity, work) + one.after - one.due)
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
