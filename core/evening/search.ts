import type { Way } from './exact'
import { Kept } from './kept'
import { changeOf } from './moves'
import { compareCosts, SAME, type Costs, type Goal } from './problem'
import { otherRanking, type Ranked } from './rankings'
import { byRanks, type Stretches } from './ranks'
import type { Task } from './task'

/** What a search goes by. */
export interface Bettering {
  /** What there is to do. */
  task: Task
  /** The stretches of its pens. */
  stretches: Stretches
  /** What is wanted, the first before all others. */
  wanted: readonly Goal[]
  /** No order comes to less. */
  least: Costs
  /** Chance, 0 to 1. */
  chance: () => number
}

/** Ranks are changed so often for each pen, but no more often than that, then the best order itself so often, turn and turn about. */
const EACH = 20
const RANKS = 400
const ORDERS = 100

/**
 * An order bettered again and again: by other ranks of the pens’ stretches, and by changes of the best order itself: pieces taken up
 * sooner or later, brought to their like, one pen put before another over a stretch, or a stretch made anew by a rule. What is a little
 * worse is gone on from too, the less often the worse it is, so that it is not caught in the first hollow (as Metropolis and others did,
 * 1953; always as warm, since nobody knows how long one looks). Yields the best after each `every` changes, for as long as anybody asks; a
 * better one that was found elsewhere meanwhile is handed in by `next`.
 */
export function* bettered(
  bettering: Bettering, known: Ranked, every: number,
): Generator<Way, undefined, Way | undefined> {
  if (new Set(known.way.order).size < 2) return
  const search = new Search(bettering, known)
  let count = 0
  for (const _ of search.tries()) {
    if (++count % every) continue
    const other = yield search.best
    if (other) search.keep(other)
  }
}

class Search {
  best: Way
  /** The ranking that is gone on from, and the order that comes of it. */
  private ranked: Ranked
  private bestRanked: Ranked
  /** So many rankings ago that one was found. */
  private since = 0
  /** How much worse is little, s: a part of the time a pen takes until it is finished. */
  private readonly warmth: number

  constructor(private readonly bettering: Bettering, known: Ranked) {
    const { task, stretches } = bettering
    this.best = known.way
    this.ranked = { ranking: known.ranking, way: byRanks(task, stretches, known.ranking) }
    this.bestRanked = this.ranked
    this.warmth = this.best.costs.finished / task.pens.length / WARM
  }

  keep(way: Way): void {
    if (compareCosts(way.costs, this.best.costs, this.bettering.wanted) < 0) this.best = way
  }

  /** Yields after each change that was tried. */
  * tries(): Generator<undefined, undefined> {
    for (;;) {
      yield* this.byRank()
      yield* this.byOrder()
    }
  }

  private* byRank(): Generator<undefined, undefined> {
    const { task, stretches, wanted, chance, least } = this.bettering
    const turn = Math.min(RANKS, EACH * task.pens.length)
    for (let time = 0; time < turn; time++) {
      const isLate = this.ranked.way.costs.late > least.late
      const ranking = otherRanking(this.ranked.ranking, stretches, isLate, chance)
      const way = byRanks(task, stretches, ranking)
      const found = { ranking, way }
      if (this.isTaken(way.costs, this.ranked.way.costs, this.warmth, SMALL)) this.ranked = found
      if (compareCosts(way.costs, this.bestRanked.way.costs, wanted) < 0) {
        this.bestRanked = found
        this.ranked = found
        this.since = 0
      } else if (++this.since > RESTART) {
        this.ranked = this.bestRanked
        this.since = 0
      }
      this.keep(way)
      yield
    }
  }

  private* byOrder(): Generator<undefined, undefined> {
    const kept = new Kept(this.bettering.task, this.best.order)
    for (let time = 0; time < ORDERS; time++) {
      const changed = changeOf(this.bettering.task, kept, this.bettering.chance)
      const costs = kept.count(changed)
      if (costs && this.isTaken(costs, kept.costs, this.warmth / COOLER, LITTLE)) {
        kept.put(changed.order, changed.from)
        this.keep({ order: kept.order, costs: kept.costs })
      }
      yield
    }
  }

  /** Whether something is gone on from, at a warmth at which so much worse is little, s. */
  private isTaken(costs: Costs, before: Costs, warmth: number, later: number): boolean {
    const { wanted, chance } = this.bettering
    const worse = worseBy(costs, before, wanted, later)
    return worse <= 0 || chance() < Math.exp(-worse / warmth)
  }
}
/** So many a part of the time a pen takes is little; of orders so many times less. */
const WARM = 70
const COOLER = 20
/** After so many rankings that were no better it goes on from the best again. */
const RESTART = 3000

/** By how much one is worse than another, s: by no end in what is counted in pieces; what is wanted later counts only so much. */
function worseBy(costs: Costs, before: Costs, wanted: readonly Goal[], later: number): number {
  let [worse, counts] = [0, 1]
  for (const goal of wanted) {
    const difference = costs[goal] - before[goal]
    if (goal === 'missed' || goal === 'pinned' || goal === 'late') {
      if (Math.abs(difference) > SAME) return difference > 0 ? Infinity : -Infinity
    } else {
      worse += counts * difference
      counts *= later
    }
  }
  return worse
}
/** What is wanted later counts so much where ranks are changed, which is for having pens finished early, and so much in the order. */
const SMALL = 0.05
const LITTLE = 0.2
