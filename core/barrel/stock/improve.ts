import { nth } from '../../sure'
import { exact } from './exact'
import { greedy } from './greedy'
import { better, type Packing, type Task } from './problem'

/**
 * Rounds of taking some sticks apart and packing them anew, sticks each time, and tries for each. Enough for a hundred pieces in a
 * blink.
 */
const ROUNDS = 300
const TRIES = 500

/**
 * A packing made better by taking a few sticks apart at a time. Which ones follows from a fixed series of numbers, so the same problem
 * always gives the same layout.
 */
export function improve(task: Task, start: Packing, cover: (size: number) => number, bound: number): Packing {
  let best = start
  let seed = 20_261_123
  const next = (below: number): number => {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648
    return Math.floor(seed / 65_536) % below
  }
  const rank = new Map(task.order.map((piece, index) => [piece, index]))
  for (let round = 0; round < ROUNDS && (best.used > bound || best.unplaced.length); round++) {
    const apart = pick(best, 2 + next(3), next)
    if (apart.length < 2 && !best.unplaced.length) break
    const kept = best.bins.filter((_, index) => !apart.includes(index))
    const pieces = [...best.unplaced, ...apart.flatMap(index => nth(best.bins, index).pieces)].sort(
      (a, b) => (rank.get(a) ?? 0) - (rank.get(b) ?? 0),
    )
    const counts = task.counts.map((count, kind) => count - kept.filter(bin => bin.kind === kind).length)
    const now: Packing = {
      bins: apart.map(index => nth(best.bins, index)),
      unplaced: best.unplaced,
      used: apart.reduce((sum, index) => sum + nth(task.lengths, nth(best.bins, index).kind), 0),
    }
    const again = greedy(task, pieces, counts, round % 2 ? 'longest' : 'shortest')
    const { packing } = exact(task, pieces, counts, cover, better(again, now) ? again : now, TRIES)
    if (better(packing, now))
      best = { bins: [...kept, ...packing.bins], unplaced: packing.unplaced, used: best.used - now.used + packing.used }
  }
  return best
}

/** Some sticks to take apart: the one that leaves most, which is where the gain is, and others at random. */
function pick({ bins }: Packing, count: number, next: (below: number) => number): number[] {
  if (!bins.length) return []
  const emptiest = bins.reduce((most, bin, index) => (bin.free > nth(bins, most).free ? index : most), 0)
  const picked = new Set([next(3) ? emptiest : next(bins.length)])
  for (let tries = 0; picked.size < Math.min(count, bins.length) && tries < 20; tries++) picked.add(next(bins.length))
  return [...picked]
}
