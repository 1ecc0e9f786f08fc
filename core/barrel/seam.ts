/** A blank of two halves, its bore and its barrel; mm. */
export interface SeamProblem {
  /** Width of the blank across the seam. */
  width: number
  /** Outside of the tube or of the bore. */
  bore: number
  /** Finished diameter where the barrel is thinnest. */
  finished: number
  /** How far the bore's axis lies from the middle of the width; above 0 towards the far face. */
  offset?: number
  /** How far the bit may wander. */
  wander?: number
  /** The least part of the circumference that the smaller half must still show: 0 to 0.5. */
  leastShare?: number
}

/** A band across the width, mm from the near face. */
export interface Band {
  /** Where it begins, mm. */
  from: number
  /** Where it ends, mm. */
  to: number
}

export interface SeamBand {
  /** Where the whole seam must run so that both halves show at the finished surface along the whole barrel. Null when no place will do. */
  shows: Band | null
  /**
   * Where it runs through the tube, so that both halves are glued to brass; between the two bands the smaller half is a strip held by
   * the seam alone.
   */
  held: Band | null
}

/**
 * Where the seam of a hybrid blank may run. On a barrel of radius R about the axis, a seam that lies d away shows the smaller half on
 * `acos(d / R) / π` of the circumference; it shows at all only while d < R. The bore and its wander move the axis, and with it the
 * band.
 */
export function seamBand({ width, bore, finished, offset = 0, wander = 0, leastShare = 0 }: SeamProblem): SeamBand {
  const axis = width / 2 + offset
  return { shows: band(axis, (finished / 2) * Math.cos(Math.PI * leastShare) - wander, width), held: band(axis, bore / 2 - wander, width) }
}

function band(axis: number, reach: number, width: number): Band | null {
  const [from, to] = [Math.max(0, axis - reach), Math.min(width, axis + reach)]
  return to > from ? { from, to } : null
}

/**
 * The part of the circumference, 0 to 1, that the half beyond a seam shows; `away` is how far the seam lies from the axis, mm, above 0
 * towards that half.
 */
export function shareBeyond(away: number, finished: number): number {
  return Math.acos(Math.max(-1, Math.min(1, away / (finished / 2)))) / Math.PI
}
