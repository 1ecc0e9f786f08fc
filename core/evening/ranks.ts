import { nth, num, real, whole } from '../sure'
import { beginning, beginsAt, changeFor, costsOf, crewFor, isOpen, readyAt, take, type Course } from './course'
import type { Way } from './exact'
import { compareCosts, type Goal } from './problem'
import { FAR, onlyThese, type Task } from './task'

/** What an order goes by that comes from ranks: of the pens that are ready the one with the least rank is taken up. */
export interface Ranking {
  /** The rank of each stretch of the pens’ work, as `stretchesOf` numbers them; the least one before all others. */
  ranks: Float64Array
  /** So long is stood by for a pen of better rank, s. */
  patience: number
  /** By so many ranks one goes ahead that needs nothing changed. */
  like: number
  /** By so many ranks one goes ahead whose next wait outlasts the evening. */
  night: number
}

/** The pens’ work in stretches: what is done between two waits in which hands turn to something else. */
export interface Stretches {
  /** How many pens there are. */
  count: number
  /** Of each piece, by the columns of the task, its stretch. */
  of: Int32Array
  /** Of each stretch its pen. */
  pens: readonly number[]
  /** The pens that are promised. */
  promised: readonly number[]
  /** Of each piece whether nothing of its pen is left for this evening after it: 1, else 0. */
  isLast: Int32Array
  /** Whether any piece has a latest time. */
  isBound: boolean
}

/** A wait in which hands turn to something else, s. */
const PARTS = 1800
/** A wait that outlasts an evening, s. */
const LONG = 2 * 3600
/** So near to its latest time a piece comes before all else, s. */
const URGENT = 1800

export function stretchesOf({ pens, columns }: Task): Stretches {
  const of = new Int32Array(columns.hands.length)
  const isLast = new Int32Array(of.length)
  const found: number[] = []
  pens.forEach((_, pen) => {
    const [first, end] = [whole(columns.first, pen), whole(columns.first, pen + 1)]
    for (let piece = first; piece < end; piece++) {
      if (piece === first || real(columns.wait, piece) > PARTS) found.push(pen)
      of[piece] = found.length - 1
      isLast[piece] = Number(piece + 1 === end || real(columns.wait, piece + 1) > LONG)
    }
  })
  const promised = pens.flatMap(({ due }, pen) => (due < Infinity ? [pen] : []))
  return { count: pens.length, of, pens: found, promised, isLast, isBound: columns.latest.some(one => one < Infinity) }
}

/** The pens that have work left, by the ranks of what is next on them. */
class Line {
  /** The pens, the one of least rank first. */
  readonly pens: number[]
  /** For each pen the rank of what is next on it, and when that is ready for hands, s. */
  readonly rank: Float64Array
  readonly ready: Float64Array

  constructor(
    private readonly task: Task, private readonly course: Course, private readonly stretches: Stretches,
    private readonly ranks: Float64Array,
  ) {
    this.rank = new Float64Array(task.pens.length)
    this.ready = new Float64Array(task.pens.length)
    this.pens = task.pens.flatMap((_, pen) => (isOpen(task, course, pen) ? [pen] : []))
    for (const pen of this.pens) this.look(pen)
    this.pens.sort((a, b) => real(this.rank, a) - real(this.rank, b) || a - b)
  }

  pieceOf(pen: number): number {
    return whole(this.task.columns.first, pen) + whole(this.course.at, pen)
  }

  /** Brings a pen to its place after one of its pieces was done. */
  moveOn(pen: number): void {
    const { pens } = this
    const before = real(this.rank, pen)
    const isLeft = isOpen(this.task, this.course, pen)
    if (isLeft) this.look(pen)
    const rank = real(this.rank, pen)
    if (isLeft && rank === before) return
    pens.splice(pens.indexOf(pen), 1)
    if (!isLeft) return
    let place = 0
    while (place < pens.length && real(this.rank, num(pens, place)) <= rank) place++
    pens.splice(place, 0, pen)
  }

  private look(pen: number): void {
    this.rank[pen] = real(this.ranks, whole(this.stretches.of, this.pieceOf(pen)))
    this.ready[pen] = readyAt(this.task, this.course, pen)
  }
}

/** The order of a ranking, and what it comes to. */
export function byRanks(task: Task, stretches: Stretches, ranking: Ranking): Way {
  const course = beginning(task)
  const line = new Line(task, course, stretches, ranking.ranks)
  const order: number[] = []
  while (line.pens.length) {
    const pen = nextOf(task, course, stretches, line, ranking)
    take(task, course, pen)
    order.push(pen)
    line.moveOn(pen)
  }
  return { order, costs: costsOf(course) }
}

/** Which pen is taken up next: of those that hands can turn to by now the one with the least rank; if there is none, the soonest. */
function nextOf(task: Task, course: Course, { isLast, isBound }: Stretches, line: Line, { patience, like, night }: Ranking): number {
  const { pens } = line
  const only = onlyThese(task, course.at)
  const soon = freeAt(course) + patience
  let [chosen, best] = [-1, Infinity]
  for (let place = 0; place < pens.length; place++) {
    const pen = num(pens, place)
    const rank = real(line.rank, pen)
    // Nobody after this one can come before what was chosen, but what is near to its latest time.
    if (!isBound && rank - like - night >= best) break
    if (only && !only.includes(pen)) continue
    const crew = crewFor(task, course, pen)
    const change = changeFor(task, course, pen, crew)
    if (real(line.ready, pen) - change > soon) continue
    const piece = line.pieceOf(pen)
    const by = real(task.columns.latest, piece)
    const score = rank - (change === 0 ? like : 0) - (whole(isLast, piece) ? night : 0)
    if (score >= best && by === Infinity) continue
    const begins = beginsAt(task, course, pen, crew, change)
    if (begins - change > soon) continue
    if (by < Infinity && real(course.ended, pen) + by - begins < URGENT) return pen
    if (score < best) [chosen, best] = [pen, score]
  }
  return chosen < 0 ? soonestOf(task, course, line, only) : chosen
}

/** When the first pair of hands is free, s. */
function freeAt({ now }: Course): number {
  let least = real(now, 0)
  for (let crew = 1; crew < now.length; crew++) least = Math.min(least, real(now, crew))
  return least
}

/** The pen that hands can turn to first. */
function soonestOf(task: Task, course: Course, { pens, ready }: Line, only: readonly number[] | null): number {
  let [soon, soonest] = [-1, Infinity]
  for (const pen of pens) {
    if (only && !only.includes(pen)) continue
    if (real(ready, pen) > soonest) continue
    const crew = crewFor(task, course, pen)
    const change = changeFor(task, course, pen, crew)
    const turns = beginsAt(task, course, pen, crew, change) - change
    if (turns < soonest) [soon, soonest] = [pen, turns]
  }
  return soon
}

/** Rankings to begin with: the least work first, the nearest promise first, what stands between the two, and like after like. */
export function firstRankings(task: Task, stretches: Stretches): Ranking[] {
  const rest = task.pens.map(pen => real(pen.rest, 0) + pen.wait.reduce((sum, one) => sum + one, 0) * 0.05)
  const sorted = (key: (pen: number) => number) => task.pens.map((_, pen) => pen).sort((a, b) => key(a) - key(b))
  const due = (pen: number) => Math.min(nth(task.pens, pen).due, FAR)
  const orders = [
    sorted(pen => num(rest, pen)),
    sorted(pen => due(pen) + num(rest, pen)),
    sorted(pen => (due(pen) < FAR ? due(pen) : 5 * num(rest, pen) * task.pens.length)),
    likeAfterLike(task, rest),
  ]
  const few = Math.ceil(task.pens.length / 8)
  return orders.flatMap((pens) => {
    const ranks = Float64Array.from(stretches.pens, pen => pens.indexOf(pen))
    return [
      { ranks, patience: 0, like: 0, night: few },
      { ranks, patience: 60, like: few, night: few },
      { ranks, patience: 15, like: 1, night: 4 * few },
    ]
  })
}
/** One pen after another, so that each has little work and needs little that the one before it did not. */
function likeAfterLike({ pens, changes }: Task, rest: readonly number[]): number[] {
  const left = new Set(pens.keys())
  const order: number[] = []
  let there = new Set<number>()
  while (left.size) {
    let [next, least] = [-1, Infinity]
    for (const pen of left) {
      const takes = num(rest, pen) + nth(pens, pen).needs.reduce((sum, { setUp }) => sum + (there.has(setUp) ? 0 : real(changes, setUp)), 0)
      if (takes < least) [next, least] = [pen, takes]
    }
    left.delete(next)
    order.push(next)
    there = new Set(nth(pens, next).needs.map(one => one.setUp))
  }
  return order
}

/** A ranking changed a little, now and then in several ways at once; where a promise might still be kept, by bringing one forward too. */
export function otherRanking(ranking: Ranking, { count, pens, promised }: Stretches, isLate: boolean, chance: () => number): Ranking {
  const other = { ...ranking, ranks: ranking.ranks.slice() }
  const { ranks } = other
  const move = (stretch: number, by: number) => {
    ranks[stretch] = real(ranks, stretch) + by
  }
  const moveAll = (pen: number, by: number) => pens.forEach((one, stretch) => one === pen && move(stretch, by))
  do {
    const kind = chance()
    const one = Math.floor(chance() * pens.length)
    const by = (2 * chance() - 1) * (chance() < 0.5 ? count : NEAR)
    if (kind < 0.05) other.patience = nth([0, 10, 30, 60, 180, 600], Math.floor(chance() * 6))
    else if (kind < 0.13) other.like = chance() ** 2 * count
    else if (kind < 0.2) other.night = chance() ** 2 * count
    else if (kind < 0.23 && isLate && promised.length) moveAll(num(promised, Math.floor(chance() * promised.length)), -chance() * count)
    else if (kind < 0.6) moveAll(num(pens, one), by)
    else if (kind < 0.75) {
      const two = Math.floor(chance() * pens.length)
      const between = real(ranks, two) - real(ranks, one)
      move(one, between)
      move(two, -between)
    } else move(one, by)
  } while (chance() < ONCE_MORE)
  return other
}
/** A small move of a rank, and how often one change comes with another. */
const NEAR = 3
const ONCE_MORE = 0.3

/** A ranking and the order it gives. */
export interface Ranked {
  /** By which it came about. */
  ranking: Ranking
  /** The order, and what it comes to. */
  way: Way
}

/** The best of some rankings. */
export function bestRanking(task: Task, stretches: Stretches, rankings: readonly Ranking[], wanted: readonly Goal[]): Ranked | undefined {
  let best: Ranked | undefined
  for (const ranking of rankings) {
    const way = byRanks(task, stretches, ranking)
    if (!best || compareCosts(way.costs, best.way.costs, wanted) < 0) best = { ranking, way }
  }
  return best
}
