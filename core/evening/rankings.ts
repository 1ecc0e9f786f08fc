import { nth, num, real } from '../sure'
import { whenDone } from './hours'
import { compareCosts, type Goal } from './problem'
import { byRanks, type Ranking, type Stretches } from './ranks'
import type { Way } from './exact'
import { FAR, type Task } from './task'

/**
 * Rankings to begin with: pen after pen, the least work first, the nearest promise first, what stands between the two; and those that need
 * nearly the same in batches, promises left aside or before their batch.
 */
export function firstRankings(task: Task, stretches: Stretches): Ranking[] {
  const few = Math.ceil(task.pens.length / 8)
  const oneByOne = pensInOrder(task).flatMap((pens) => {
    const ranks = Float64Array.from(stretches.pens, pen => pens.indexOf(pen))
    return [
      { ranks, patience: 0, like: 0, night: few },
      { ranks, patience: 60, like: few, night: few },
      { ranks, patience: 15, like: 1, night: 4 * few },
    ]
  })
  const inBatches = (stretches.promised.length ? EARLY : EARLY.slice(0, 1)).flatMap((early) => {
    const ranks = batched(task, stretches, early)
    return [{ ranks, patience: 0, like: TOGETHER, night: NIGHT }, { ranks, patience: 0, like: few, night: NIGHT }]
  })
  return [...oneByOne, ...inBatches]
}

function pensInOrder({ pens }: Task): number[][] {
  const rest = pens.map(pen => real(pen.rest, 0) + pen.wait.reduce((sum, one) => sum + one, 0) * 0.05)
  const sorted = (key: (pen: number) => number) => pens.map((_, pen) => pen).sort((a, b) => key(a) - key(b))
  const due = (pen: number) => Math.min(nth(pens, pen).due, FAR)
  return [
    sorted(pen => num(rest, pen)),
    sorted(pen => due(pen) + num(rest, pen)),
    sorted(pen => (due(pen) < FAR ? due(pen) : 5 * num(rest, pen) * pens.length)),
  ]
}

/**
 * Pens that need nearly the same in batches, those with little work first; of each what comes after its second wait goes ahead. What is
 * promised and could be kept alone has its place by its day, as a part of all the days there is work for, times so much (`early`), and
 * one place before that, so that it may go before all; where its batch is sooner it goes with that.
 */
function batched({ pens, capacity }: Task, { count, byPen, likeness, pens: penOf }: Stretches, early: number): Float64Array {
  const rest = (pen: number) => real(nth(pens, pen).rest, 0)
  const mean = (batch: readonly number[]) => batch.reduce((sum, pen) => sum + rest(pen), 0) / batch.length
  const batches = likeness.batches(BATCH).sort((a, b) => mean(a) - mean(b))
  const end = whenDone(capacity, WITH_CHANGES * pens.reduce((sum, pen) => sum + real(pen.rest, 0), 0))
  const ranks = new Float64Array(penOf.length)
  batches.forEach((batch, at) => {
    for (const pen of batch) {
      const { due, after, wait } = nth(pens, pen)
      const left = due - wait.reduce((sum, one) => sum + one, after)
      const isPromised = left > rest(pen) && left < FAR
      const rank = Math.min(at * count / batches.length, isPromised ? (count * early * left) / end - 1 : Infinity)
      nth(byPen, pen).forEach((stretch, place) => (ranks[stretch] = place < 2 ? rank : rank - AHEAD * count))
    }
  })
  return ranks
}
/** At which part of the time to their day promises have their place: nowhere, as if there were none; half way; and ever sooner. */
const EARLY = [Infinity, 0.5, 0.25, 0.1, 0.03]
/** What work takes with its changes, about, as a part of the work. */
const WITH_CHANGES = 1.3
/** The most pens in a batch to begin with. */
const BATCH = 6
/** So great a part of all ranks what is nearly done goes ahead; and so many what a night goes on with. */
const AHEAD = 0.3
const NIGHT = 2

/** A ranking changed a little, now and then in several ways at once; where a promise might still be kept, by bringing one forward too. */
export function otherRanking(ranking: Ranking, stretches: Stretches, isLate: boolean, chance: () => number): Ranking {
  const { count, promised, pens } = stretches
  const other = { ...ranking, ranks: ranking.ranks.slice() }
  do {
    const kind = chance()
    if (kind < 0.03) other.patience = nth([0, 10, 30, 60, 180, 600], Math.floor(chance() * 6))
    else if (kind < 0.07) other.like = chance() < 0.3 ? TOGETHER : chance() ** 2 * count / 2
    else if (kind < 0.11) other.night = chance() ** 2 * count
    else if (kind < 0.14 && isLate && promised.length) {
      const pen = num(promised, Math.floor(chance() * promised.length))
      moveAll(other.ranks, nth(stretches.byPen, pen), -chance() * count)
    } else moveSome(other.ranks, stretches, Math.floor(chance() * pens.length), chance)
  } while (chance() < ONCE_MORE)
  return other
}

/**
 * Changes ranks around a stretch. Stretches of the same rank are a batch: their pens are worked in one go. A pen, or the stretch alone,
 * joins another that needs much the same; batches move as a whole; a pen or a stretch goes by itself; two change places.
 */
function moveSome(ranks: Float64Array, { count, pens, byPen, likeness }: Stretches, one: number, chance: () => number): void {
  const kind = chance()
  const by = (2 * chance() - 1) * (chance() < 0.5 ? count : NEAR)
  const pen = num(pens, one)
  const own = nth(byPen, pen)
  const rank = real(ranks, one)
  if (kind < 0.45) {
    const other = nth(byPen, likeness.drawn(pen, chance()))
    const joining = kind < 0.3 ? own : [one]
    for (const stretch of joining) ranks[stretch] = real(ranks, num(other, Math.min(own.indexOf(stretch), other.length - 1)))
  } else if (kind < 0.58) moveAll(ranks, [...ranks.keys()].filter(stretch => real(ranks, stretch) === rank), by)
  else if (kind < 0.71) {
    const batch = new Set(own.map(stretch => real(ranks, stretch)))
    const together = byPen.filter(all => all.some(stretch => batch.has(real(ranks, stretch))))
    moveAll(ranks, together.flat(), by)
  } else if (kind < 0.86) moveAll(ranks, own, by)
  else if (kind < 0.95) moveAll(ranks, [one], by)
  else {
    const two = Math.floor(chance() * pens.length)
    ranks[one] = real(ranks, two)
    ranks[two] = rank
  }
}

function moveAll(ranks: Float64Array, stretches: readonly number[], by: number): void {
  for (const stretch of stretches) ranks[stretch] = real(ranks, stretch) + by
}
/** A small move of a rank, and how often one change comes with another. */
const NEAR = 3
const ONCE_MORE = 0.3
/** Less than from one rank to the next: of pens in one batch what needs no change goes ahead. */
const TOGETHER = 0.5

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
