import { applicatorWaste, type Applicator } from './product'

/** One drop from a fine tip, ml [mem: about 30 to 50 drops to the ml]. */
export const DROP_ML = 0.025

/**
 * What one coat takes from the bottle, ml: surface (mm²) × wet thickness × waste. The wet thickness is what the coat builds dry (µm,
 * before any of it soaks in) over its solids (0 to 1).
 */
export const coatVolume = (surface: number, build: number, solids: number, applicator: Applicator): number =>
  ((surface * build) / 1000 / solids / 1000) * applicatorWaste[applicator]

/** Drops from a fine tip, at least one. */
export const dropsOf = (ml: number): number => Math.max(1, Math.ceil(ml / DROP_ML))
