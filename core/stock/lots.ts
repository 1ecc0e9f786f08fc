/** Pieces that were bought together. */
export interface Lot {
  /** How many. */
  count: number
  /** What one of them cost, in minor units; null where nobody said. */
  each: number | null
}

/**
 * What the next pieces cost that are taken, the oldest lot first, in minor units: `used` were taken from these lots before. What goes
 * beyond all lots costs what the last one did. Null where a price is not known, or nothing was bought.
 */
export function priceOfNext(lots: readonly Lot[], used: number, pieces: number): number | null {
  const last = lots.at(-1)
  if (!last) return null
  let [skip, left, sum] = [Math.max(0, used), pieces, 0]
  for (const { count, each } of [...lots, { ...last, count: Infinity }]) {
    const here = Math.max(0, Math.min(left, count - skip))
    skip = Math.max(0, skip - count)
    if (!here) continue
    if (each === null) return null
    sum += here * each
    left -= here
    if (left <= 0) break
  }
  return Math.round(sum)
}
