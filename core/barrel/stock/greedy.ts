import { nth } from '../../sure'
import type { Bin, Packing, Task } from './problem'

/** Which kind of stick is begun when none that is begun has room. */
export type Begin = 'longest' | 'shortest'

/**
 * Takes the pieces in this order, each to the begun stick where it leaves least, else to a new stick; then changes each stick for a
 * shorter one that still holds its pieces.
 */
export function greedy(task: Task, pieces: readonly number[], counts: readonly number[], begin: Begin): Packing {
  const left = [...counts]
  const bins: Bin[] = []
  const unplaced: number[] = []
  const kinds = task.lengths
    .map((_, kind) => kind)
    .sort((a, b) => (nth(task.lengths, a) - nth(task.lengths, b)) * (begin === 'longest' ? -1 : 1))
  for (const piece of pieces) {
    const size = nth(task.sizes, piece)
    const open = bins.filter(bin => bin.free >= size && nth(task.fits, piece)[bin.kind])
    if (open.length) {
      const best = open.reduce((a, b) => (b.free < a.free ? b : a))
      best.pieces.push(piece)
      best.free -= size
      continue
    }
    const kind = kinds.find(one => nth(left, one) > 0 && nth(task.fits, piece)[one] && nth(task.caps, one) >= size)
    if (kind === undefined) unplaced.push(piece)
    else {
      left[kind] = nth(left, kind) - 1
      bins.push({ kind, pieces: [piece], free: nth(task.caps, kind) - size })
    }
  }
  return shortened(task, { bins, unplaced, used: 0 }, left)
}

/** Each stick changed for the shortest one left that holds its pieces; the length begun summed up anew. */
function shortened(task: Task, packing: Packing, left: number[]): Packing {
  const bins = packing.bins.map((bin) => {
    const size = nth(task.caps, bin.kind) - bin.free
    const kinds = task.lengths
      .map((_, kind) => kind)
      .filter(
        kind =>
          nth(left, kind) > 0
          && nth(task.lengths, kind) < nth(task.lengths, bin.kind)
          && nth(task.caps, kind) >= size
          && bin.pieces.every(piece => nth(task.fits, piece)[kind]),
      )
    if (!kinds.length) return bin
    const kind = kinds.reduce((a, b) => (nth(task.lengths, b) < nth(task.lengths, a) ? b : a))
    left[kind] = nth(left, kind) - 1
    left[bin.kind] = nth(left, bin.kind) + 1
    return { kind, pieces: bin.pieces, free: nth(task.caps, kind) - size }
  })
  return { ...packing, bins, used: bins.reduce((sum, bin) => sum + nth(task.lengths, bin.kind), 0) }
}
