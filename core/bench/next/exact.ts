import { nth } from '../../sure'
import { beginning, copyOf, isOpen, leastMore, take, type Chain, type Course, type Evening, type Way } from './evening'

/** A difference of sums that is none, pen-seconds. */
const NONE = 1e-6

/**
 * The way through an evening on which pens stand the least, of all that begin with one of `firsts`; `known` is one that was found before,
 * in whose place only a better one is taken. Branch and bound: a course is given up when the least it can come to is no less than what
 * is known, or when one with the same pieces behind it was met that is in nothing worse. Undefined when more than `most` courses would
 * have to be looked at.
 */
export function bestWay(evening: Evening, firsts: readonly number[], known: Way, most = Infinity): Way | undefined {
  let count = 0
  const met = new Map<number, Met[]>()
  const path: number[] = []
  let best = known

  function go(further: readonly Further[]): void {
    for (const { pen, next, least, begins } of further) {
      if (least >= best.standing - NONE) break
      if (isMet(met, evening, next)) continue
      if (++count > most) return
      path.push(pen)
      const more = furtherOf(evening, next, pen, path.length > 1 ? begins : -Infinity)
      if (more.length) go(more)
      else if (next.standing < best.standing - NONE) best = { standing: next.standing, taken: path.slice() }
      path.pop()
    }
  }
  const start = beginning(evening)
  go(inOrder(firsts.map(pen => furtherWith(evening, start, pen))))
  return count > most ? undefined : best
}

/** A course one piece further on. */
interface Further {
  pen: number
  /** When the piece began. */
  begins: number
  next: Course
  /** The least that the whole evening can come to. */
  least: number
}

/** The most promising first; of those alike the one that is over first. */
const inOrder = (further: Further[]): Further[] => further.sort((a, b) => a.least - b.least || a.next.now - b.next.now)

function furtherWith(evening: Evening, course: Course, pen: number): Further {
  const next = copyOf(course)
  take(evening, next, pen)
  return { pen, begins: beginOf(course, pen), next, least: next.standing + leastMore(evening, next) }
}

const beginOf = ({ now, ready }: Course, pen: number): number => Math.max(now, nth(ready, pen))

/**
 * What may be taken up next, of those where another order is as good one way only; `last` was taken up last, which began at `since`.
 */
function furtherOf(evening: Evening, course: Course, last: number, since: number): Further[] {
  const open: number[] = []
  for (let pen = 0; pen < evening.length; pen++) if (isOpen(evening, course, pen)) open.push(pen)
  const all = (pens: readonly number[]) => inOrder(pens.map(pen => furtherWith(evening, course, pen)))
  // Where a latest time counts from what is still to be done, sooner is not always as good.
  if (hasBound(evening, course)) return all(open)
  // Between two pieces of a pen without a wait only a pen comes that was not ready when the first was begun: else it comes before both.
  const goesOn = isOpen(evening, course, last) && runsOn(nth(evening, last), nth(course.at, last) - 1)
  // Nobody stands by for a pen while another piece can be done whole before it is ready.
  let soonest = Infinity
  for (const pen of open) soonest = Math.min(soonest, beginOf(course, pen) + nth(nth(evening, pen).work, nth(course.at, pen)))
  return all(open.filter(pen => beginOf(course, pen) < soonest && (!goesOn || pen === last || nth(course.ready, pen) > since)))
}

/** Whether a pen has a latest time that is not fixed yet: doing its next piece sooner is then not always as good. */
const isBound = (evening: Evening, course: Course, pen: number): boolean => nth(evening, pen).bound[nth(course.at, pen)] === true

function hasBound(evening: Evening, course: Course): boolean {
  for (let pen = 0; pen < evening.length; pen++) if (isBound(evening, course, pen)) return true
  return false
}

/** Whether after a piece the next one can follow at once, and it had no latest time. */
const runsOn = ({ wait, latest }: Chain, piece: number): boolean => wait[piece + 1] === 0 && latest[piece] === Infinity

/** A course that was met: what stood, when the hands are free, and of each pen from when it can and by when it must go on. */
type Met = readonly number[]

/** Whether a course with the same pieces behind it was met that is in nothing worse; else this one is put down. */
function isMet(all: Map<number, Met[]>, evening: Evening, course: Course): boolean {
  const { now } = course
  let key = 0
  let standing = course.standing
  const row = [0, now]
  for (let pen = 0; pen < evening.length; pen++) {
    const at = nth(course.at, pen)
    const chain = nth(evening, pen)
    key = key * (chain.work.length + 1) + at
    if (at >= chain.count) continue
    const ready = nth(course.ready, pen)
    // What stands at this moment counts as past, so that courses compare from here on.
    if (ready < now && chain.feeds[at]) standing += now - ready
    row.push(Math.max(now, ready), -nth(course.latest, pen))
  }
  row[0] = standing - NONE
  const met = all.get(key)
  if (!met) {
    all.set(key, [row])
    return false
  }
  const exactly = hasBound(evening, course)
  for (const one of met) if (isNoWorse(one, row, exactly)) return true
  met.push(row)
  return false
}

/** Whether one course is in nothing worse than another: less in nothing, or where times count from what comes, the same. */
function isNoWorse(one: Met, other: Met, exactly: boolean): boolean {
  if (nth(one, 0) > nth(other, 0) + NONE) return false
  for (let field = 1; field < one.length; field++) {
    const [a, b] = [nth(one, field), nth(other, field)]
    if (exactly ? a !== b : a > b) return false
  }
  return true
}
