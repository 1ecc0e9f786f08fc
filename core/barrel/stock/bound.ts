import { nth } from '../../sure'
import type { Task } from './problem'

/** mm of size to the step of the table: coarser is still a bound, since sizes round down and sticks up. */
const STEP = 50

/**
 * The least length of sticks that could hold a total size, whatever the pieces: `cover(size)`. Sticks are taken as if there were any
 * number of each, so it is a bound, never a promise. A table made once for the whole search.
 */
export function coverTable({ caps, lengths, counts }: Pick<Task, 'caps' | 'lengths' | 'counts'>, most: number): (size: number) => number {
  const steps = Math.floor(most / STEP)
  const kinds = caps
    .map((cap, kind) => ({ cap: Math.ceil(cap / STEP), length: nth(lengths, kind) }))
    .filter((one, kind) => nth(counts, kind) > 0 && one.cap > 0)
  const table = new Float64Array(steps + 1)
  for (let size = 1; size <= steps; size++) {
    let least = Infinity
    for (const { cap, length } of kinds) least = Math.min(least, length + nth(table, Math.max(0, size - cap)))
    table[size] = least
  }
  return size => (size <= 0 ? 0 : nth(table, Math.min(steps, Math.floor(size / STEP))))
}

/** A lower bound on the length that must be begun for all these pieces: their total size, or the pieces too long to share a stick. */
export function lowerBound(task: Task, pieces: readonly number[], cover: (size: number) => number): number {
  const total = pieces.reduce((sum, piece) => sum + nth(task.sizes, piece), 0)
  const widest = Math.max(0, ...task.caps)
  const alone = pieces.filter(piece => nth(task.sizes, piece) * 2 > widest)
  const apart = alone.reduce((sum, piece) => sum + shortestFor(task, piece), 0)
  return Math.max(cover(total), Number.isFinite(apart) ? apart : 0)
}

const shortestFor = (task: Task, piece: number): number =>
  Math.min(
    ...task.lengths.filter(
      (_, kind) => nth(task.fits, piece)[kind] && nth(task.caps, kind) >= nth(task.sizes, piece) && nth(task.counts, kind) > 0,
    ),
  )
