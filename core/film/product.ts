import type { Source } from '../figures'

/** What one coat of a film product adds. Depths in µm. */
export interface FilmBuild {
  /** Mean dry build of one coat. */
  build: number
  /** Unevenness it adds, peak to valley. */
  unevenness: number
  /** Part of that which a later coat over one of its own adds, 0 to 1, where it dissolves that one again; all of it where absent. */
  later?: number
  /** Part of the wet coat that stays once it is dry, 0 to 1. */
  solids: number
  /** Where the figures are from. */
  source: Source
}

/** How a coat is put on: closed-cell foam lays it more evenly than paper towel; a spray and a stick need no hand. */
export const applicators = ['foam', 'towel', 'spray', 'stick'] as const
/** One of them. */
export type Applicator = (typeof applicators)[number]

/** Unevenness of a coat put on this way, against paper towel [model; foam from the trade's preference]. */
export const applicatorFactor: Record<Applicator, number> = { foam: 0.6, towel: 1, spray: 1, stick: 1 }

/** How much more leaves the bottle than stays on the barrel: what foam and towel hold, and what a spray blows past [model]. */
export const applicatorWaste: Record<Applicator, number> = { foam: 1.5, towel: 3, spray: 4, stick: 1.2 }
