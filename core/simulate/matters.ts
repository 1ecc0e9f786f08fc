import { normals } from '../chance'
import type { Unknown } from './unknowns'

/** How much of what is unknown about a result comes from one unknown. */
export interface Share {
  /** Which. */
  id: string
  /** The part of the variance that would go if it were known, 0 to 1: first order. */
  alone: number
  /** The part that would stay if all else were known: with all that it does together with others. */
  total: number
}

/**
 * Of what the variance of a result is made, by pick and freeze: two sets of runs, and for each unknown the one with the numbers of this
 * unknown out of the other (Saltelli 2010 for the first order, Jansen 1999 for the total). It plays `runs` × (unknowns + 2) times. Of a
 * result that does not vary every share is 0. The largest total first.
 */
export function sharesOf(
  play: (x: ArrayLike<number>) => number, unknowns: readonly Unknown[], { runs = 1000, seed = 1 } = {},
): Share[] {
  const size = unknowns.reduce((sum, one) => sum + one.count, 0)
  const next = normals(seed)
  const draw = () => Float64Array.from({ length: size }, next)
  const [first, second] = [Array.from({ length: runs }, draw), Array.from({ length: runs }, draw)]
  const [a, b] = [first.map(play), second.map(play)]
  const mean = [...a, ...b].reduce((sum, one) => sum + one, 0) / (2 * runs)
  const variance = [...a, ...b].reduce((sum, one) => sum + (one - mean) ** 2, 0) / (2 * runs)
  if (!(variance > 1e-12 * (1 + mean * mean))) return unknowns.map(({ id }) => ({ id, alone: 0, total: 0 }))
  const mixed = new Float64Array(size)
  return unknowns.map(({ id, from, count }): Share => {
    let [alone, total] = [0, 0]
    for (let run = 0; run < runs; run++) {
      const [x, y] = [first[run] ?? mixed, second[run] ?? mixed]
      mixed.set(x)
      mixed.set(y.subarray(from, from + count), from)
      const c = play(mixed)
      alone += (b[run] ?? 0) * (c - (a[run] ?? 0))
      total += ((a[run] ?? 0) - c) ** 2
    }
    const part = (sum: number) => Math.min(1, Math.max(0, sum / variance))
    return { id, alone: part(alone / runs), total: part(total / (2 * runs)) }
  }).sort((one, other) => other.total - one.total)
}
