import type { Source } from '../figures'

/** Classes of blank that change how it is sanded and finished; a wood or resin belongs to one or more. */
export const materialClasses = [
  'close-grained',
  'open-pored',
  'oily',
  'bleeding',
  'soft',
  'figured',
  'hybrid',
  'resin',
  'laminated',
] as const
/** One of them. */
export type MaterialClass = (typeof materialClasses)[number]

/** What the blank is made of. */
export interface Material {
  /** Its name in the reference data. */
  id: string
  /** What a turner calls it. */
  name: string
  /** The classes it belongs to; none when nobody knows it. */
  classes: readonly MaterialClass[]
  /** Side hardness (Janka), N; absent when nobody knows it. */
  hardness?: { value: number, source: Source }
  /** Density at workshop moisture, kg/m³; absent when nobody knows it. */
  density?: { value: number, source: Source }
  /** What to mind when it is worked, as the turner noted it. */
  caution?: string
  /** Colour for the drawings, `#rrggbb`. */
  colour: string
  /** Where its row comes from. */
  source: Source
}

/** Whether it belongs to one of these classes. */
export const is = (material: Material, ...classes: readonly MaterialClass[]): boolean =>
  classes.some(one => material.classes.includes(one))

/** All resin. */
export const isResin = (material: Material): boolean => is(material, 'resin')
/** Wood and resin in one. */
export const isHybrid = (material: Material): boolean => is(material, 'hybrid')
/** Resin, or wood and resin in one. */
export const hasResin = (material: Material): boolean => is(material, 'resin', 'hybrid')
/** Grain that needs no filling; an unknown wood is treated as such. */
export const closeGrained = (material: Material): boolean => is(material, 'close-grained') || material.classes.length === 0
/** Oil or resin of its own, which keeps what stands on it from holding. */
export const isOily = (material: Material): boolean => is(material, 'oily')
/** Colour that a wet wipe or a wet coat carries along. */
export const bleeds = (material: Material): boolean => is(material, 'bleeding')
/** Wood whose pores drink the first coats. */
export const openPored = (material: Material): boolean => is(material, 'open-pored')
/** Soft or punky: it tears, dents and drinks unevenly. */
export const isSoft = (material: Material): boolean => is(material, 'soft')
/** Two materials side by side in its surface. */
export const hasJoint = (material: Material): boolean => is(material, 'hybrid', 'laminated')
/** Grain that runs every way, with weak spots in it. */
export const isFigured = (material: Material): boolean => is(material, 'figured')
/** Wood that tears when it is drilled, so that it is cut longer. */
export const tears = (material: Material): boolean => is(material, 'soft', 'figured')
