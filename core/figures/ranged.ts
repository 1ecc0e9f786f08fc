/** A value that is not known exactly: likeliest, and between what it lies nine times in ten. */
export interface Ranged {
  /** The median. */
  likely: number
  /** One time in twenty it is less. */
  low: number
  /** One time in twenty it is more. */
  high: number
}

/** A value with how much it counts; weights are 0 or more and need not add up to 1. */
export interface Weighted {
  /** What it is. */
  value: number
  /** How much it counts against the others. */
  weight: number
}

/**
 * The value below which this part (0 to 1) of all the weight lies.
 * @throws RangeError when there is no value
 */
export function weightedQuantile(values: readonly Weighted[], part: number): number {
  return quantileOf(inOrder(values), part)
}

/**
 * The median with the range of nine in ten.
 * @throws RangeError when there is no value
 */
export function ranged(values: readonly Weighted[]): Ranged {
  const sorted = inOrder(values)
  return { low: quantileOf(sorted, 0.05), likely: quantileOf(sorted, 0.5), high: quantileOf(sorted, 0.95) }
}

const inOrder = (values: readonly Weighted[]): Weighted[] => [...values].sort((a, b) => a.value - b.value)

function quantileOf(sorted: readonly Weighted[], part: number): number {
  const last = sorted.at(-1)
  if (!last) throw new RangeError('There is no value to take a quantile of.')
  const all = sorted.reduce((sum, one) => sum + one.weight, 0)
  let below = 0
  for (const { value, weight } of sorted) {
    below += weight
    if (below >= part * all) return value
  }
  return last.value
}

/**
 * The same for values that stand on a grid of equal steps: the weight of each is spread over its step, so that a coarse grid does not
 * round the ends of the range.
 * @throws RangeError when there is no value
 */
export function weightedSpread(values: readonly Weighted[]): Ranged {
  const at = new Map<number, number>()
  for (const { value, weight } of values) at.set(value, (at.get(value) ?? 0) + weight)
  const sorted = [...at].sort(([a], [b]) => a - b).map(([value, weight]) => ({ value, weight }))
  const [first, last] = [sorted[0], sorted.at(-1)]
  if (!first || !last) throw new RangeError('There is no value to take a quantile of.')
  const step = sorted.length > 1 ? (last.value - first.value) / (sorted.length - 1) : 0
  const all = sorted.reduce((sum, one) => sum + one.weight, 0)
  const quantile = (part: number): number => {
    let below = 0
    for (const { value, weight } of sorted) {
      if (below + weight >= part * all && weight > 0) return value + step * ((part * all - below) / weight - 0.5)
      below += weight
    }
    return last.value
  }
  return { low: quantile(0.05), likely: quantile(0.5), high: quantile(0.95) }
}
