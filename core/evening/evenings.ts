import { leastFrom } from './bound'
import { beginning, blocksOf, taskOf } from './course'
import { bestOrder } from './exact'
import { clockOf } from './hours'
import { compareCosts, goals, type Block, type Costs, type EveningProblem, type Goal } from './problem'
import { chanceOf, firstWay, improved } from './search'

export interface EveningOptions {
  /** What is wanted, the first before all others; as `goals` says where it is not said. */
  wanted?: readonly Goal[]
  /** Orders tried by rules; 40. */
  tries?: number
  /** How often an order is changed to better it; 2,000. */
  changes?: number
  /** Courses looked at to prove that none is better; 20,000. */
  most?: number
  /** Another seed tries other orders. */
  seed?: number
}

/** What to do in the coming evenings. */
export interface Evenings {
  /** Piece by piece, as hands go. */
  blocks: Block[]
  /** What that comes to. */
  costs: Costs
  /** No order comes to less than this, goal by goal. */
  least: Costs
  /** Whether it is known that no order is better. */
  proven: boolean
}

/**
 * The order in which pieces of work on several pens are taken up by one pair of hands in their hours: no latest time missed before all
 * else, then promises kept, then pens finished early, then little time without work. Proven by branch and bound where that comes to an
 * end, else the best of a search, with the least that any order could come to. Where a latest time is among the work, only orders are
 * looked at in which every piece is taken up as soon as it can be, so that only one that meets the bound is proven.
 * @throws RangeError for hours or times that are none
 */
export function planEvenings(problem: EveningProblem, options: EveningOptions = {}): Evenings {
  const { wanted = goals, tries = 40, changes = 2000, most = 20_000, seed = 1 } = options
  const task = taskOf(problem, clockOf(problem.hours))
  const chance = chanceOf(seed)
  const least = leastFrom(task, beginning(task))
  const found = improved(task, firstWay(task, wanted, tries, chance), wanted, changes, chance)
  const meets = () => compareCosts(found.costs, least, wanted) <= 0
  const exact = meets() ? found : bestOrder(task, found, wanted, most)
  const isFree = problem.pens.every(({ work }) => work.every(one => one.latest === undefined))
  const best = exact ?? found
  return {
    blocks: blocksOf(task, best.order),
    costs: best.costs,
    least,
    proven: compareCosts(best.costs, least, wanted) <= 0 || (exact !== undefined && isFree),
  }
}
