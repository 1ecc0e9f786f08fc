import { nth } from '../../sure'
import type { Bin, Packing, Task } from './problem'

/** mm/100 to the step of the table; sizes round up and sticks down, so that what is found fits. */
const STEP = 10

/**
 * Fills one stick after the other as full as the pieces left allow, each time the kind that wastes the smallest part of itself; the
 * last ones go to the shortest that holds them.
 */
export function fullest(task: Task, counts: readonly number[]): Packing {
  const left = [...counts]
  const bins: Bin[] = []
  let pieces = [...task.order]
  while (pieces.length) {
    const offers = task.caps
      .flatMap((cap, kind) => (nth(left, kind) > 0 && cap > 0 ? [{ kind, ...fill(task, pieces, kind) }] : []))
      .filter(offer => offer.taken.length)
    if (!offers.length) break
    const last = offers.filter(offer => offer.taken.length === pieces.length)
    const pick = last.length
      ? last.reduce((a, b) => (nth(task.lengths, b.kind) < nth(task.lengths, a.kind) ? b : a))
      : offers.reduce((a, b) => (b.size / nth(task.lengths, b.kind) > a.size / nth(task.lengths, a.kind) ? b : a))
    left[pick.kind] = nth(left, pick.kind) - 1
    bins.push({ kind: pick.kind, pieces: pick.taken, free: nth(task.caps, pick.kind) - pick.size })
    const gone = new Set(pick.taken)
    pieces = pieces.filter(piece => !gone.has(piece))
  }
  return { bins, unplaced: pieces, used: bins.reduce((sum, bin) => sum + nth(task.lengths, bin.kind), 0) }
}

/**
 * The pieces that fill one stick of a kind most. Long pieces come first, so that of two ways to fill it the one with the hard pieces is
 * found.
 */
function fill(task: Task, pieces: readonly number[], kind: number): { taken: number[], size: number } {
  const room = Math.floor(nth(task.caps, kind) / STEP)
  const able = pieces.filter(piece => nth(task.fits, piece)[kind])
  /** For every sum the piece that made it first, and the sum before it. */
  const by = new Int32Array(room + 1).fill(-1)
  let top = 0
  by[0] = -2
  for (const piece of able) {
    const steps = Math.ceil(nth(task.sizes, piece) / STEP)
    for (let sum = Math.min(room, top + steps); sum >= steps; sum--) {
      if (by[sum] === -1 && by[sum - steps] !== -1) by[sum] = piece
    }
    top = Math.min(room, top + steps)
    if (by[room] !== -1) break
  }
  let sum = room
  while (sum > 0 && by[sum] === -1) sum--
  const taken: number[] = []
  while (sum > 0) {
    taken.push(nth(by, sum))
    sum -= Math.ceil(nth(task.sizes, nth(by, sum)) / STEP)
  }
  return { taken, size: taken.reduce((total, piece) => total + nth(task.sizes, piece), 0) }
}
