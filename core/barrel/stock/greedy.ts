import type { Bin, Packing, Task } from './problem'

/** Which kind of stick is begun when none that is begun has room. */
export type Begin = 'longest' | 'shortest'

/** Takes the pieces in this order, each to the begun stick where it leaves least, else to a new stick; then changes each stick for a shorter one that still holds its pieces. */
export function greedy(task: Task, pieces: readonly number[], counts: readonly number[], begin: Begin): Packing {
  const left = [...counts]
  const bins: Bin[] = []
  const unplaced: number[] = []
  const kinds = task.lengths.map((_, kind) => kind).sort((a, b) => (task.lengths[a]! - task.lengths[b]!) * (begin === 'longest' ? -1 : 1))
  for (const piece of pieces) {
    const size = task.sizes[piece]!
    const open = bins.filter(bin => bin.free >= size && task.fits[piece]![bin.kind])
    if (open.length) {
      const best = open.reduce((a, b) => b.free < a.free ? b : a)
      best.pieces.push(piece)
      best.free -= size
      continue
    }
    const kind = kinds.find(one => left[one]! > 0 && task.fits[piece]![one] && task.caps[one]! >= size)
    if (kind === undefined) unplaced.push(piece)
    else {
      left[kind]!--
      bins.push({ kind, pieces: [piece], free: task.caps[kind]! - size })
    }
  }
  return shortened(task, { bins, unplaced, used: 0 }, left)
}

/** Each stick changed for the shortest one left that holds its pieces; the length begun summed up anew. */
function shortened(task: Task, packing: Packing, left: number[]): Packing {
  const bins = packing.bins.map((bin) => {
    const size = task.caps[bin.kind]! - bin.free
    const kinds = task.lengths.map((_, kind) => kind).filter(kind =>
      left[kind]! > 0 && task.lengths[kind]! < task.lengths[bin.kind]! && task.caps[kind]! >= size && bin.pieces.every(piece => task.fits[piece]![kind]))
    if (!kinds.length) return bin
    const kind = kinds.reduce((a, b) => task.lengths[b]! < task.lengths[a]! ? b : a)
    left[kind]!--
    left[bin.kind]!++
    return { kind, pieces: bin.pieces, free: task.caps[kind]! - size }
  })
  return { ...packing, bins, used: bins.reduce((sum, bin) => sum + task.lengths[bin.kind]!, 0) }
}
