import { nth } from '../sure'
import { beginning, copyOf, costsOf, isOpen, openPens, placeOf, take, type Course } from './course'
import type { Way } from './exact'
import { compareCosts, type Costs, type Goal } from './problem'
import { byRanks, otherRanking, type Ranked } from './ranks'
import { onlyThese, type Task } from './task'

/** Chance of its own, the same by a seed: 0 to 1. */
export function chanceOf(seed: number): () => number {
  let state = seed % 4_294_967_296
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296
    return (state + 0.5) / 4_294_967_296
  }
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
      const { begins, change, crew, missed } = placeOf(task, course, pen)
      const { due, latest, rest } = nth(task.pens, pen)
      const at = nth(course.at, pen)
      const left = nth(rest, at)
      const by = nth(latest, at)
      const last = by < Infinity ? -Math.max(0, URGENT - (nth(course.ended, pen) + by - begins)) : 0
      const counts = rule.begins * (begins - nth(course.now, crew)) + rule.change * change
        + rule.due * (Math.min(due, FAR) - begins - left) * 0.1 + rule.rest * left * 0.1 + rule.noise * chance() * 600
        + last + (missed ? -URGENT : 0)
      if (counts < least) [chosen, least] = [pen, counts]
    }
    if (chosen < 0) return
    take(task, course, chosen)
    order.push(chosen)
  }
}
/** Of pens without a promised day, s; and so near to its latest time a piece comes before all else, s. */
const FAR = 1e7
const URGENT = 3600

/** What an order comes to; undefined where the turner’s wishes bar it. */
export function costsOfOrder(task: Task, order: readonly number[]): Costs | undefined {
  const course = beginning(task)
  return order.every(pen => isAllowed(task, course, pen) && (take(task, course, pen), true)) ? costsOf(course) : undefined
}

function isAllowed(task: Task, course: Course, pen: number): boolean {
  if (!isOpen(task, course, pen)) return false
  const only = onlyThese(task, course.at)
  return !only || only.includes(pen)
}

/** So many pieces lie between two places at which the course of a known order is kept, to go on from. */
const KEPT_EVERY = 12

/** An order with its course at every so many pieces, so that a changed one is counted from the change on only. */
class Kept {
  readonly courses: Course[] = []
  order: number[] = []
  costs: Costs

  constructor(private readonly task: Task, order: readonly number[]) {
    this.order = order.slice()
    this.courses.push(beginning(task))
    this.costs = this.count(this.order, 0, true) ?? costsOf(beginning(task))
  }

  /** What an order comes to that is the same up to `from`; undefined where a wish bars it. Kept, the places to go on from are renewed. */
  count(order: readonly number[], from: number, keep = false): Costs | undefined {
    const first = Math.floor(from / KEPT_EVERY)
    const course = copyOf(nth(this.courses, Math.min(first, this.courses.length - 1)))
    for (let at = first * KEPT_EVERY; at < order.length; at++) {
      if (keep && at % KEPT_EVERY === 0) this.courses[at / KEPT_EVERY] = copyOf(course)
      const pen = nth(order, at)
      if (!isAllowed(this.task, course, pen)) return undefined
      take(this.task, course, pen)
    }
    return costsOf(course)
  }

  /** Takes an order in place of the one before it. */
  put(order: readonly number[], from: number, costs: Costs): void {
    this.order = order.slice()
    this.costs = costs
    this.count(order, from, true)
  }
}

/** Where an order was changed, from which place on. */
interface Changed {
  order: number[]
  from: number
}

/**
 * An order bettered again and again: by other ranks of the pens, and by changing it a little: pieces taken up sooner or later, brought to
 * their like, one pen put before another over a stretch, or a stretch made anew by a rule. Now and then a little worse is gone on from, so
 * that it is not caught in the first hollow. Yields the best after each `every` changes, for as long as anybody asks; a better one that was
 * found elsewhere meanwhile is handed in by `next`.
 */
export function* bettered(
  task: Task, known: Ranked, wanted: readonly Goal[], every: number, chance: () => number,
): Generator<Way, undefined, Way | undefined> {
  let { ranking, way: ranked } = known
  let best = ranked
  const kept = new Kept(task, ranked.order)
  if (new Set(best.order).size < 2) return
  // Ranks say much with few changes, so they come first and are tried less and less as they bring nothing.
  let share = 0.5
  for (let time = 0; ; time++) {
    if (time > 0 && time % every === 0) {
      const other = yield best
      if (other && compareCosts(other.costs, best.costs, wanted) < 0) {
        best = other
        kept.put(best.order, 0, best.costs)
      }
    }
    if (time > 0 && time % RESTART === 0) kept.put(best.order, 0, best.costs)
    if (chance() < share) {
      const other = otherRanking(ranking, chance)
      const way = byRanks(task, other)
      share = Math.max(LEAST_SHARE, share * SHRINKS)
      if (compareCosts(way.costs, ranked.costs, wanted) > 0) continue
      if (compareCosts(way.costs, ranked.costs, wanted) < 0) share = 0.5
      ranking = other
      ranked = way
      if (compareCosts(way.costs, best.costs, wanted) >= 0) continue
      best = way
      kept.put(way.order, 0, way.costs)
      continue
    }
    const changed = changeOf(task, kept, chance)
    const costs = kept.count(changed.order, changed.from)
    if (!costs) continue
    if (compareCosts(costs, kept.costs, wanted) <= 0 || isLittleWorse(costs, kept.costs, wanted, task, chance)) {
      kept.put(changed.order, changed.from, costs)
      if (compareCosts(costs, best.costs, wanted) < 0) best = { order: changed.order, costs }
    }
  }
}
const LEAST_SHARE = 0.02
const SHRINKS = 0.99

/** After so many changes it goes on from the best again. */
const RESTART = 1600

/** Whether something is worse by little, in what is counted in seconds only; drawn by chance. */
function isLittleWorse(costs: Costs, before: Costs, wanted: readonly Goal[], task: Task, chance: () => number): boolean {
  if (chance() > 0.03) return false
  for (const goal of wanted) {
    const worse = costs[goal] - before[goal]
    if (worse <= 0) continue
    return (goal === 'finished' || goal === 'hands') && worse < chance() * LITTLE * task.pens.length
  }
  return true
}
/** So much worse for each pen is little, s. */
const LITTLE = 600

function changeOf(task: Task, { order, courses }: Kept, chance: () => number): Changed {
  const kind = chance()
  const { length } = order
  const from = Math.floor(chance() * length)
  if (kind < 0.5) return moved(order, from, chance)
  if (kind < 0.7) return toItsLike(task, order, from, chance)
  if (kind < 0.85) return before(order, from, chance)
  return anew(task, order, courses, from, chance)
}

/** One piece or a few on end, taken up sooner or later. */
function moved(known: readonly number[], from: number, chance: () => number): Changed {
  const order = known.slice()
  const count = 1 + Math.floor(chance() ** 2 * Math.min(5, order.length - from))
  const taken = order.splice(from, count)
  const reach = chance() < 0.7 ? 8 : known.length
  const to = Math.min(order.length, Math.max(0, from + Math.floor((2 * chance() - 1) * reach)))
  order.splice(to, 0, ...taken)
  return { order, from: Math.min(from, to) }
}

/** A piece brought right behind another with the same set-up. */
function toItsLike(task: Task, known: readonly number[], from: number, chance: () => number): Changed {
  const at = task.pens.map(() => 0)
  const setUps = known.map((pen) => {
    const one = nth(at, pen)
    at[pen] = one + 1
    return nth(nth(task.pens, pen).setUp, one)
  })
  const own = nth(setUps, from)
  const likes = setUps.flatMap((one, index) => (one === own && index !== from && Math.abs(index - from) < 60 ? [index] : []))
  const like = likes[Math.floor(chance() * likes.length)]
  if (!own || like === undefined) return moved(known, from, chance)
  const order = known.slice()
  order.splice(from, 1)
  const to = like < from ? like + 1 : like
  order.splice(to, 0, nth(known, from))
  return { order, from: Math.min(from, to) }
}

/** Over a stretch all of one pen before all of another. */
function before(known: readonly number[], from: number, chance: () => number): Changed {
  const to = Math.min(known.length, from + 2 + Math.floor(chance() * 40))
  const stretch = known.slice(from, to)
  const [one, other] = [nth(stretch, 0), nth(stretch, Math.floor(chance() * stretch.length))]
  const places = stretch.flatMap((pen, index) => (pen === one || pen === other ? [index] : []))
  const ones = places.filter(index => stretch[index] === one).length
  const [first, second] = chance() < 0.5 ? [one, other] : [other, one]
  const firsts = first === one ? ones : places.length - ones
  places.forEach((index, place) => {
    stretch[index] = place < firsts ? first : second
  })
  return { order: [...known.slice(0, from), ...stretch, ...known.slice(to)], from }
}

/** A stretch made anew by a rule; what was in it and is not by then comes after it in the order it had. */
function anew(task: Task, known: readonly number[], courses: readonly Course[], from: number, chance: () => number): Changed {
  const first = Math.floor(from / KEPT_EVERY)
  const course = copyOf(nth(courses, first))
  const order = known.slice(0, first * KEPT_EVERY)
  byRule(task, course, ruleOf(chance), chance, order, 4 + Math.floor(chance() * 30))
  const left = task.pens.map(({ count }, pen) => count - nth(course.at, pen))
  // The rest in its order, from its end so that what is left of each pen are its last pieces.
  const rest: number[] = []
  for (let at = known.length - 1; at >= first * KEPT_EVERY; at--) {
    const pen = nth(known, at)
    if (nth(left, pen) <= 0) continue
    left[pen] = nth(left, pen) - 1
    rest.push(pen)
  }
  return { order: [...order, ...rest.reverse()], from: first * KEPT_EVERY }
}
