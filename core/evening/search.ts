import { nth } from '../sure'
import { beginning, costsOf, isOpen, placeOf, take, type Course, type Task } from './course'
import type { Way } from './exact'
import { compareCosts, type Costs, type Goal } from './problem'

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
const RULES: readonly Rule[] = [
  { begins: 1, change: 1, due: 0, rest: 0, noise: 0 },
  { begins: 1, change: 1, due: 0, rest: -0.2, noise: 0 },
  { begins: 1, change: 0, due: 0, rest: 0.2, noise: 0 },
  { begins: 0.5, change: 0.5, due: 1, rest: 0, noise: 0 },
  { begins: 0.2, change: 0.2, due: 1, rest: -1, noise: 0 },
]

/** A good order: the best of some rules, and of so many more with weights drawn by chance. */
export function firstWay(task: Task, wanted: readonly Goal[], tries: number, chance: () => number): Way {
  const drawn = Array.from({ length: tries }, (): Rule => ({
    begins: chance(), change: chance(), due: chance() < 0.5 ? chance() : 0, rest: chance() - 0.5, noise: 0.3 * chance(),
  }))
  let best: Way | undefined
  for (const rule of [...RULES, ...drawn]) {
    const way = byRule(task, rule, chance)
    if (!best || compareCosts(way.costs, best.costs, wanted) < 0) best = way
  }
  return best ?? { order: [], costs: costsOf(beginning(task)) }
}

function byRule(task: Task, rule: Rule, chance: () => number): Way {
  const course = beginning(task)
  const order: number[] = []
  const rest = task.pens.map(({ work }) => work.reduce((sum, one) => sum + one.hands + one.wait, 0))
  for (;;) {
    let chosen = -1
    let least = Infinity
    for (let pen = 0; pen < task.pens.length; pen++) {
      if (!isOpen(task, course, pen)) continue
      const { begins, change, missed } = placeOf(task, course, pen)
      const { due = FAR, work } = nth(task.pens, pen)
      const piece = nth(work, nth(course.at, pen))
      const last = piece.latest === undefined ? 0 : -Math.max(0, URGENT - (nth(course.ended, pen) + piece.latest - begins))
      const counts = rule.begins * (begins - course.now) + rule.change * change + rule.due * (due - begins - nth(rest, pen)) * 0.1
        + rule.rest * nth(rest, pen) * 0.1 + rule.noise * chance() * 600 + last + (missed ? -URGENT : 0)
      if (counts < least) [chosen, least] = [pen, counts]
    }
    if (chosen < 0) return { order, costs: costsOf(course) }
    const piece = nth(nth(task.pens, chosen).work, nth(course.at, chosen))
    rest[chosen] = nth(rest, chosen) - piece.hands - piece.wait
    take(task, course, chosen)
    order.push(chosen)
  }
}
/** Of pens without a promised day, s; and so near to its latest time a piece comes before all else, s. */
const FAR = 1e7
const URGENT = 3600

/** What an order comes to. */
export function costsOfOrder(task: Task, order: readonly number[]): Costs {
  const course: Course = beginning(task)
  for (const pen of order) take(task, course, pen)
  return costsOf(course)
}

/** So many times an order is changed a little, by taking pieces up sooner or later, and kept where it is no worse. */
export function improved(task: Task, known: Way, wanted: readonly Goal[], times: number, chance: () => number): Way {
  let best = known
  const length = known.order.length
  if (new Set(known.order).size < 2) return known
  for (let time = 0; time < times; time++) {
    const order = best.order.slice()
    const from = Math.floor(chance() * length)
    // Mostly one piece or a few on end, a little way or far.
    const count = 1 + Math.floor(chance() ** 2 * Math.min(4, length - from))
    const taken = order.splice(from, count)
    const reach = chance() < 0.7 ? 8 : length
    const to = Math.min(order.length, Math.max(0, from + Math.floor((2 * chance() - 1) * reach)))
    order.splice(to, 0, ...taken)
    const costs = costsOfOrder(task, order)
    if (compareCosts(costs, best.costs, wanted) <= 0) best = { order, costs }
  }
  return best
}
