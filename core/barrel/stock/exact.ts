import { nth } from '../../sure'
import { better, type Bin, type Packing, type Task } from './problem'

/**
 * The best packing of these pieces (longest first) into sticks of these counts, by branch and bound from a packing that is known. Gives
 * up after so many tries; `proven` says whether it saw everything.
 */
export function exact(
  task: Task,
  pieces: readonly number[],
  counts: readonly number[],
  cover: (size: number) => number,
  known: Packing,
  tries: number,
): { packing: Packing, proven: boolean } {
  const { sizes, fits, caps, lengths, alike } = task
  const left = [...counts]
  const rest: number[] = [...pieces, -1].map(() => 0)
  for (let i = pieces.length - 1; i >= 0; i--) rest[i] = nth(rest, i + 1) + nth(sizes, nth(pieces, i))

  let best = known
  let budget = tries
  const bins: Bin[] = []
  const where: number[] = []
  const unplaced: number[] = []
  let used = 0
  let free = 0

  /** The least that can still be hoped for from here is worse than or as bad as what is known. */
  const hopeless = (i: number): boolean =>
    unplaced.length > best.unplaced.length || (unplaced.length === best.unplaced.length && used + cover(nth(rest, i) - free) >= best.used)

  function place(i: number): void {
    if (budget-- <= 0 || hopeless(i)) return
    if (i === pieces.length) {
      const found = { bins: bins.map(bin => ({ ...bin, pieces: [...bin.pieces] })), unplaced: [...unplaced], used }
      if (better(found, best)) best = found
      return
    }
    const piece = nth(pieces, i)
    const size = nth(sizes, piece)
    // Alike pieces keep the order of their sticks: any other order is the same layout again.
    const first = i > 0 && alike[nth(pieces, i - 1)] === alike[piece] ? nth(where, i - 1) : 0
    const seen = new Set<number>()
    for (let b = first; b < bins.length; b++) {
      const bin = nth(bins, b)
      const same = bin.free * caps.length + bin.kind
      if (bin.free < size || !nth(fits, piece)[bin.kind] || seen.has(same)) continue
      seen.add(same)
      bin.pieces.push(piece)
      bin.free -= size
      free -= size
      where[i] = b
      place(i + 1)
      bin.pieces.pop()
      bin.free += size
      free += size
    }
    for (let kind = 0; kind < caps.length; kind++) {
      if (nth(left, kind) <= 0 || nth(caps, kind) < size || !nth(fits, piece)[kind]) continue
      left[kind] = nth(left, kind) - 1
      used += nth(lengths, kind)
      const room = nth(caps, kind) - size
      free += room
      bins.push({ kind, pieces: [piece], free: room })
      where[i] = bins.length - 1
      place(i + 1)
      bins.pop()
      free -= room
      used -= nth(lengths, kind)
      left[kind] = nth(left, kind) + 1
    }
    if (unplaced.length < best.unplaced.length || known.unplaced.length > 0) {
      unplaced.push(piece)
      where[i] = first
      place(i + 1)
      unplaced.pop()
    }
  }
  place(0)
  return { packing: best, proven: budget > 0 }
}
