import { given, worked, type Figure } from '../figures'
import { decimal } from '../format'
import type { Stick } from './cut'
import type { Barrel, BarrelId, Fitting } from './fitting'
import { fattest, type Profile } from './profile'
import { finishedProfile, type Shape } from './shape'

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
 * The least square section for a barrel of `fattest` mm at its fattest, drilled `depth` mm deep: the bore may come out off the axis by
 * the wander, and the barrel must still be found within the faces, and within the corners where `cornerLost` mm of each face is missing
 * at a corner (a bevel, bark, a check).
 */
export function leastSection(fattest: Figure, depth: Figure, wanderPart: Figure, cornerLost = 0): Section {
  const wander = worked('drill wander', depth.value * wanderPart.value, 'mm', 'depth × part of it', [depth, wanderPart])
  const radius = fattest.value / 2 + wander.value
  // A bevel that takes c off both faces at 45° lies (side − c) / √2 from the middle.
  const byCorner = Math.SQRT2 * radius + cornerLost
  const corner = cornerLost > 0 ? [given('missing at a corner', cornerLost, 'mm')] : []
  const side = worked(
    'least square section',
    Math.max(2 * radius, byCorner),
    'mm',
    'fattest finished diameter + 2 × wander, inside faces and corners',
    [fattest, wander, ...corner],
  )
  return { side, wander, overCorners: side.value * Math.SQRT2 }
}

/**
 * What is wise to cut on each side beyond what can just be, mm [model]: corners, sawing that is not square, a bruise, a barrel that is
 * turned again. With it a 7 mm pen comes out at the 15 mm that the trade cuts.
 */
const SPARE_SIDE = 2

/** The square that is wise to cut, mm: what can just be, with something to spare on every side, up to the next whole millimetre. */
export function wiseSquare(least: Figure): Figure {
  const spare = given('to spare on each side', SPARE_SIDE, 'mm', { mark: 'model', note: 'corners, a bruise, a barrel turned again' })
  const value = Math.ceil(least.value + 2 * spare.value - 1e-9)
  return worked('square to cut', value, 'mm', 'least square section + 2 × to spare, up to the next whole mm', [least, spare])
}

/** Drill wander as a part of the depth: the turner's own, else the usual. */
export function drillWander(own?: number | null): Figure {
  const label = 'wander, part of the depth'
  return own == null ? given(label, USUAL_WANDER, '×', { mark: 'model', note: 'starting value' }) : given(label, own, '×')
}

/** The square that one barrel asks for: its piece of the stick is drilled through over the whole cut length. */
export function barrelSection(finished: Profile, piece: Figure, wander: Figure): Section {
  const fat = fattest(finished)
  return leastSection(given(`fattest finished diameter, at ${decimal(fat.at)} mm`, fat.diameter, 'mm'), piece, wander)
}

/** The square that the stick of a pen must have, mm: the most that one of its barrels asks for in these shapes. */
export function penSection(fitting: Fitting, shapes: Partial<Record<BarrelId, Shape>>, { pieces }: Stick, wander: Figure): number {
  const sides = fitting.barrels.map((barrel: Barrel) => {
    const piece = pieces.find(one => one.barrel === barrel.id)
    return piece ? barrelSection(finishedProfile(barrel, shapes[barrel.id]), piece.length, wander).side.value : 0
  })
  return Math.max(...sides)
}
