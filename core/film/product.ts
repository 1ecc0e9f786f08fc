import type { Source } from '../figures'

/** What one coat of a film product adds. Depths in µm. */
export interface FilmBuild {
  /** Mean dry build of one coat. */
  build: number
  /** Unevenness it adds, peak to valley. */
  unevenness: number
  source: Source
}

/** How the film is put on: closed-cell foam lays it more evenly than paper towel. */
export type Applicator = 'foam' | 'towel'

export const applicatorFactor: Record<Applicator, number> = { foam: 0.6, towel: 1 }
