import { nth } from '../../sure'
import { coverTable, lowerBound } from './bound'
import { exact } from './exact'
import { fullest } from './fill'
import { fractionalBound } from './fractions'
import { greedy } from './greedy'
import { improve } from './improve'
import { better, layoutOf, taskOf, type CutLayout, type StockProblem, type Task } from './problem'

/** Tries of the exact search on the whole: all of a small problem, a part of a large one. */
const TRIES = 60_000

/**
 * Which pieces to cut from which sticks so that as many as possible find one and the least length of sticks is begun. Exact for small
 * problems (about a dozen pieces) and whenever the bound is met; for large ones good, with the bound beside it. The same problem always
 * gives the same layout.
 * @throws RangeError for lengths or a kerf that are not above 0
 */
export function cutStock(problem: StockProblem): CutLayout {
  for (const { length } of [...problem.wanted, ...problem.stock])
    if (!(length > 0)) throw new RangeError('Every length should be above 0 mm.')
  if (!(problem.kerf >= 0)) throw new RangeError('The kerf should be 0 mm or more.')
  const task = taskOf(problem)
  const all = task.order
  const most = all.reduce((sum, piece) => sum + nth(task.sizes, piece), 0)
  const cover = coverTable(task, most)

  const starts = [fullest(task, task.counts), ...(['longest', 'shortest'] as const).map(begin => greedy(task, all, task.counts, begin))]
  const start = starts.reduce((a, b) => (better(b, a) ? b : a))
  const bound = boundFor(task, all, cover)
  const improved = improve(task, start, cover, bound)
  if (!improved.unplaced.length && improved.used <= bound) return layoutOf(problem, improved, bound, true)
  const { packing, proven } = exact(task, all, task.counts, cover, improved, TRIES)
  if (proven) return layoutOf(problem, packing, packing.used, true)
  const placed = packing.unplaced.length
    ? boundFor(
        task,
        all.filter(piece => !packing.unplaced.includes(piece)),
        cover,
      )
    : bound
  return layoutOf(problem, packing, placed, !packing.unplaced.length && packing.used <= placed)
}

/** The best lower bound that is quick to have, made up to a length that whole sticks can have. */
function boundFor(task: Task, pieces: readonly number[], cover: (size: number) => number): number {
  const least = Math.max(lowerBound(task, pieces, cover), fractionalBound(task, pieces))
  const step = task.lengths.reduce((a, b) => greatestDivisor(a, b), 0)
  return step ? Math.ceil(least / step - 1e-6) * step : 0
}

const greatestDivisor = (a: number, b: number): number => (b === 0 ? a : greatestDivisor(b, a % b))
