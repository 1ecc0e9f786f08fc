import { given, worked, type Figure } from '../figures'

/** How far a bit wanders from the axis, as a part of the depth it drills [model]: about half a millimetre on a common barrel. */
export const USUAL_WANDER = 0.01

/** The least square blank that holds a barrel. */
export interface Section {
  /** Side of the square, mm. */
  side: Figure
  /** How far off the axis the bore may come out, mm. */
  wander: Figure
  /** Diameter over the corners of that square, mm: what the tool meets first. */
  overCorners: number
}

/**
 * The least square section for a barrel of `fattest` mm at its fattest, drilled `depth` mm deep: the bore may come out off the axis by the wander, and the barrel must
 * still be found within the faces, and within the corners where `cornerLost` mm of each face is missing at a corner (a bevel, bark, a check).
 */
export function leastSection(fattest: Figure, depth: Figure, wanderPart: Figure, cornerLost = 0): Section {
  const wander = worked('drill wander', depth.value * wanderPart.value, 'mm', 'depth × part of it', [depth, wanderPart])
  const radius = fattest.value / 2 + wander.value
  // A bevel that takes c off both faces at 45° lies (side − c) / √2 from the middle.
  const byCorner = Math.SQRT2 * radius + cornerLost
  const corner = cornerLost > 0 ? [given('missing at a corner', cornerLost, 'mm')] : []
  const side = worked('least square section', Math.max(2 * radius, byCorner), 'mm', 'fattest finished diameter + 2 × wander, inside faces and corners', [fattest, wander, ...corner])
  return { side, wander, overCorners: side.value * Math.SQRT2 }
}
