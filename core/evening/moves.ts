import { nth, num, real, whole } from '../sure'
import { beginsAt, changeFor, copyOf, crewFor, openPens, takeAt, type Course } from './course'
import type { Changed, Kept } from './kept'
import { SAME } from './problem'
import { FAR, type Task } from './task'

/** An order changed a little: a piece or a few sooner or later, brought to their like, one pen before another, or a stretch made anew. */
export function changeOf(task: Task, kept: Kept, chance: () => number): Changed {
  const kind = chance()
  const from = Math.floor(chance() * kept.order.length)
  if (kind < 0.5) return moved(kept.order, from, chance)
  if (kind < 0.65) return toItsLike(task, kept, from, chance)
  if (kind < 0.9) return before(kept.order, from, chance)
  return anew(task, kept, from, chance)
}

/** One piece or a few on end, taken up sooner or later. */
function moved(known: readonly number[], from: number, chance: () => number): Changed {
  const count = 1 + Math.floor(chance() ** 2 * Math.min(5, known.length - from))
  const reach = chance() < 0.7 ? 8 : known.length
  const to = Math.min(known.length - count, Math.max(0, from + Math.floor((2 * chance() - 1) * reach)))
  return putAt(known, from, count, to)
}

/** So many pieces on end, put where the first of them then is the one at `to`. */
function putAt(known: readonly number[], from: number, count: number, to: number): Changed {
  const order = known.slice()
  if (to < from) order.copyWithin(to + count, to, from)
  else order.copyWithin(from, from + count, to + count)
  for (let one = 0; one < count; one++) order[to + one] = num(known, from + one)
  return { order, from: Math.min(from, to), to: Math.max(from, to) + count }
}

/** A piece brought right behind another with the same set-up, or before it. */
function toItsLike(task: Task, kept: Kept, from: number, chance: () => number): Changed {
  const { order } = kept
  const reach = 1 + Math.floor(chance() * NEAR)
  const first = Math.max(0, from - reach)
  const { at: start, course } = kept.before(first)
  const next = Int32Array.from(course.at)
  const setUps: number[] = []
  for (let at = start; at < Math.min(order.length, from + reach); at++) {
    const pen = num(order, at)
    setUps.push(whole(task.columns.setUp, whole(task.columns.first, pen) + whole(next, pen)))
    next[pen] = whole(next, pen) + 1
  }
  const own = num(setUps, from - start)
  const likes = setUps.flatMap((one, index) => (one === own && index !== from - start && index + start >= first ? [index + start] : []))
  const like = likes[Math.floor(chance() * likes.length)]
  if (!own || like === undefined) return moved(order, from, chance)
  return putAt(order, from, 1, like < from ? like + 1 : like)
}
/** So far away something like it is looked for. */
const NEAR = 60

/** Over a stretch all of one pen before all of another. */
function before(known: readonly number[], from: number, chance: () => number): Changed {
  const to = Math.min(known.length, from + 2 + Math.floor(chance() * 80))
  const one = num(known, from)
  const other = num(known, from + Math.floor(chance() * (to - from)))
  const isFirst = chance() < 0.5
  const order = known.slice()
  const places: number[] = []
  for (let at = from; at < to; at++) if (known[at] === one || known[at] === other) places.push(at)
  const ones = places.filter(at => known[at] === one).length
  const firsts = isFirst ? ones : places.length - ones
  places.forEach((at, place) => {
    order[at] = (place < firsts) === isFirst ? one : other
  })
  return { order, from, to }
}

/** What the orders of one rule go by: how much each of it counts. */
interface Rule {
  begins: number
  change: number
  due: number
  rest: number
  noise: number
}
const ruleOf = (chance: () => number): Rule => ({
  begins: chance(), change: 2 * chance(), due: chance() < 0.5 ? chance() : 0, rest: 4 * chance() - 1, noise: 0.3 * chance(),
})

/** Takes up so many pieces as a rule says, and puts down the pens. */
function byRule(task: Task, course: Course, rule: Rule, chance: () => number, order: number[], most: number): void {
  for (let count = 0; count < most; count++) {
    let chosen = -1
    let least = Infinity
    for (const pen of openPens(task, course)) {
      const crew = crewFor(task, course, pen)
      const begins = beginsAt(task, course, pen, crew)
      const { due, latest, rest } = nth(task.pens, pen)
      const at = whole(course.at, pen)
      const left = real(rest, at)
      const by = real(course.ended, pen) + real(latest, at)
      const last = by < Infinity ? -Math.max(0, URGENT - (by - begins)) : 0
      const counts = rule.begins * (begins - real(course.now, crew)) + rule.change * changeFor(task, course, pen, crew)
        + rule.due * (Math.min(due, FAR) - begins - left) * 0.1 + rule.rest * left * 0.1 + rule.noise * chance() * 600
        + last + (begins > by + SAME ? -URGENT : 0)
      if (counts < least) [chosen, least] = [pen, counts]
    }
    if (chosen < 0) return
    const crew = crewFor(task, course, chosen)
    takeAt(task, course, chosen, crew, beginsAt(task, course, chosen, crew))
    order.push(chosen)
  }
}
/** So near to its latest time a piece comes before all else, s. */
const URGENT = 3600

/** A stretch made anew by a rule; what was in it and is not by then comes after it in the order it had. */
function anew(task: Task, kept: Kept, from: number, chance: () => number): Changed {
  const known = kept.order
  const { at: first, course: there } = kept.before(from)
  const course = copyOf(there)
  const order = known.slice(0, first)
  byRule(task, course, ruleOf(chance), chance, order, 4 + Math.floor(chance() * 30))
  const left = task.pens.map(({ count }, pen) => count - whole(course.at, pen))
  // The rest in its order, from its end so that what is left of each pen are its last pieces.
  const rest: number[] = []
  for (let at = known.length - 1; at >= first; at--) {
    const pen = num(known, at)
    if (num(left, pen) <= 0) continue
    left[pen] = num(left, pen) - 1
    rest.push(pen)
  }
  const all = [...order, ...rest.reverse()]
  let to = all.length
  while (to > first && all[to - 1] === known[to - 1]) to--
  return { order: all, from: first, to }
}
