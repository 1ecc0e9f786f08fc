import { nth } from '../sure'
import { beginning, costsOf, placeOf, take } from './course'
import type { Way } from './exact'
import { compareCosts, type Goal } from './problem'
import { onlyThese, type Task } from './task'

/** What an order goes by that comes from ranks of pens: whoever is ready and has the best rank is taken up. */
export interface Ranking {
  /** The pens, the first one before all others. */
  pens: readonly number[]
  /** So long is stood by for a pen of better rank, s. */
  patience: number
  /** By so many ranks one goes ahead that needs nothing changed. */
  like: number
  /** By so many ranks one goes ahead whose next wait outlasts the evening. */
  night: number
}

/** A wait that outlasts an evening, s. */
const LONG = 2 * 3600
/** So near to its latest time a piece comes before all else, s. */
const URGENT = 1800

/** The order of a ranking, and what it comes to. */
export function byRanks(task: Task, { pens, patience, like, night }: Ranking): Way {
  const course = beginning(task)
  const order: number[] = []
  const all = task.pens.reduce((sum, pen) => sum + pen.count, 0)
  while (order.length < all) {
    const only = onlyThese(task, course.at)
    const now = Math.min(...course.now)
    let chosen = -1
    let best = Infinity
    let soonest = Infinity
    let soon = -1
    for (let rank = 0; rank < pens.length; rank++) {
      // Nobody after this one can come before what was chosen.
      if (rank - like - night > best) break
      const pen = nth(pens, rank)
      const chain = nth(task.pens, pen)
      const at = nth(course.at, pen)
      if (at >= chain.count || (only && !only.includes(pen))) continue
      const ready = Math.max(nth(course.ended, pen) + nth(chain.wait, at), nth(chain.from, at))
      if (ready > now + patience && ready > soonest) continue
      const { begins, change } = placeOf(task, course, pen)
      if (begins - change < soonest) [soonest, soon] = [begins - change, pen]
      if (begins - change > now + patience) continue
      const latest = nth(chain.latest, at)
      const isUrgent = latest < Infinity && nth(course.ended, pen) + latest - begins < URGENT
      const score = isUrgent
        ? -Infinity
        : rank - (change === 0 ? like : 0) - ((chain.wait[at + 1] ?? 0) > LONG || at + 1 === chain.count ? night : 0)
      if (score < best) [chosen, best] = [pen, score]
    }
    const pen = chosen < 0 ? soon : chosen
    take(task, course, pen)
    order.push(pen)
  }
  return { order, costs: costsOf(course) }
}

/** Rankings to begin with: the least work first, the nearest promise first, and what stands between the two. */
export function firstRankings(task: Task): Ranking[] {
  const rest = task.pens.map(pen => nth(pen.rest, 0) + pen.wait.reduce((sum, one) => sum + one, 0) * 0.05)
  const sorted = (key: (pen: number) => number) => task.pens.map((_, pen) => pen).sort((a, b) => key(a) - key(b))
  const due = (pen: number) => Math.min(nth(task.pens, pen).due, FAR)
  const orders = [
    sorted(pen => nth(rest, pen)),
    sorted(pen => due(pen) + nth(rest, pen)),
    sorted(pen => (due(pen) < FAR ? due(pen) : 5 * nth(rest, pen) * task.pens.length)),
  ]
  const few = Math.ceil(task.pens.length / 8)
  return orders.flatMap(pens => [
    { pens, patience: 0, like: 0, night: few },
    { pens, patience: 60, like: few, night: few },
    { pens, patience: 15, like: 1, night: 4 * few },
  ])
}
/** Of pens without a promised day, s. */
const FAR = 1e7

/** A ranking changed a little. */
export function otherRanking(ranking: Ranking, chance: () => number): Ranking {
  const kind = chance()
  const { length } = ranking.pens
  if (kind < 0.1) return { ...ranking, patience: nth([0, 10, 30, 60, 180, 600], Math.floor(chance() * 6)) }
  if (kind < 0.2) return { ...ranking, like: Math.floor(chance() ** 2 * length) }
  if (kind < 0.3) return { ...ranking, night: Math.floor(chance() ** 2 * length) }
  const pens = ranking.pens.slice()
  const from = Math.floor(chance() * length)
  const reach = chance() < 0.6 ? 4 : length
  const to = Math.min(length - 1, Math.max(0, from + Math.round((2 * chance() - 1) * reach)))
  pens.splice(to, 0, ...pens.splice(from, 1))
  return { ...ranking, pens }
}

/** A ranking and the order it gives. */
export interface Ranked {
  /** By which it came about. */
  ranking: Ranking
  /** The order, and what it comes to. */
  way: Way
}

/** The best of some rankings. */
export function bestRanking(task: Task, rankings: readonly Ranking[], wanted: readonly Goal[]): Ranked | undefined {
  let best: Ranked | undefined
  for (const ranking of rankings) {
    const way = byRanks(task, ranking)
    if (!best || compareCosts(way.costs, best.way.costs, wanted) < 0) best = { ranking, way }
  }
  return best
}
