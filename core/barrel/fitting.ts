import type { Source } from '../figures'

/** A barrel of a two-barrel pen is `lower` (tip) or `upper` (clip); the one of a one-barrel pen is `only`. */
export type BarrelId = 'lower' | 'upper' | 'only'

/** One end of a barrel. */
export type End = 'tip' | 'clip'

/** One tubed barrel of a fitting; lengths and diameters in mm. */
export interface Barrel {
  /** Which barrel of the pen. */
  id: BarrelId
  /** Length of its brass tube, mm. */
  tubeLength: number
  /** Outer diameter of the tube, mm. */
  tubeOuter: number
  /** Drill bit of this barrel where it is not the fitting's. */
  bit?: number
  /** Diameter of the metal that meets the barrel at its tip end and at its clip end. */
  tipEnd: number
  /** Diameter that the part at its clip end wants, mm. */
  clipEnd: number
  /** The bushings as they measure now, worn as they are. */
  bushings?: Partial<Record<End, number>>
}

/** The bought set of metal parts of one pen style. Barrels from the tip to the clip. */
export interface Fitting {
  /** Its id in the catalogue. */
  id: string
  /** What it is called on the screen. */
  name: string
  /** Drill bit, mm. */
  bit: number
  /** One barrel or two, from tip to clip. */
  barrels: readonly Barrel[]
  /** The parts of the set in the order they are pressed; what a turner checks before the first cut. */
  parts?: readonly string[]
  /** Where its measures are from. */
  source: Source
}

export const barrelNames: Record<BarrelId, string> = { lower: 'lower barrel', upper: 'upper barrel', only: 'barrel' }

export const ends: readonly End[] = ['tip', 'clip']

/** Drill bit of a barrel, mm: its own, or the fitting's. */
export const bitOf = (fitting: Fitting, barrel: Barrel): number => barrel.bit ?? fitting.bit

/** Diameter of the metal at an end, mm. */
export const metalAt = (barrel: Barrel, end: End): number => (end === 'tip' ? barrel.tipEnd : barrel.clipEnd)
