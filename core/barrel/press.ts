/** How far short of its ring a turner stops with the mechanism of a fitting, over pens; mm. */
export interface OwnPress {
  /** On the mean. */
  mean: number
  /** The least of them, mm. */
  least: number
  /** The most. */
  most: number
  /** Pens that told. */
  pens: number
}

/** What the pens of a fitting tell of how far short its mechanism stops (mm before its ring, below 0 past it). */
export function learnPress(lefts: readonly number[]): OwnPress {
  const sum = lefts.reduce((all, one) => all + one, 0)
  return lefts.length
    ? { mean: sum / lefts.length, least: Math.min(...lefts), most: Math.max(...lefts), pens: lefts.length }
    : { mean: 0, least: 0, most: 0, pens: 0 }
}
