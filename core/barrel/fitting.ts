import type { Source } from '../figures'

/** A barrel of a two-barrel pen is `lower` (tip) or `upper` (clip); the one of a one-barrel pen is `only`. */
export type BarrelId = 'lower' | 'upper' | 'only'

/** One tubed barrel of a fitting; lengths and diameters in mm. */
export interface Barrel {
  id: BarrelId
  tubeLength: number
  tubeOuter: number
  /** Diameter of the metal that meets the barrel at its tip end and at its clip end. */
  tipEnd: number
  clipEnd: number
}

/** The bought set of metal parts of one pen style. Barrels from the tip to the clip. */
export interface Fitting {
  id: string
  name: string
  /** Drill bit, mm. */
  bit: number
  barrels: readonly Barrel[]
  source: Source
}

export const barrelNames: Record<BarrelId, string> = { lower: 'lower barrel', upper: 'upper barrel', only: 'barrel' }
