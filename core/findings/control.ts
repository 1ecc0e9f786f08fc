/** How a figure goes from pen to pen, and within which bounds it goes by chance alone. */
export interface Control {
  /** On the mean. */
  middle: number
  /** Below this hardly any lies by chance. */
  low: number
  /** Above this hardly any lies by chance. */
  high: number
  /** Places of those that lie beyond. */
  out: number[]
}

/** Fewer than this tell nothing of how they vary [model]. */
const LEAST = 8
/** Bounds lie so many mean moving ranges from the middle: three standard deviations over 1.128 (Shewhart 1931, individual values). */
const WIDTH = 3 / 1.128

/**
 * Bounds for single figures in the order of time, from how much each differs from the one before it: a slow drift widens them little.
 * Undefined where there are too few.
 */
export function controlOf(values: readonly number[]): Control | undefined {
  if (values.length < LEAST) return undefined
  const middle = values.reduce((sum, one) => sum + one, 0) / values.length
  const moves = values.slice(1).map((one, index) => Math.abs(one - (values[index] ?? one)))
  const half = (WIDTH * moves.reduce((sum, one) => sum + one, 0)) / moves.length
  const [low, high] = [middle - half, middle + half]
  return { middle, low, high, out: values.flatMap((one, index) => (one < low || one > high ? [index] : [])) }
}
