/** Sheets as they lie on the shelf. */
export interface Sheets {
  /** How many, the one in hand among them. */
  count: number
  /** How much of the life of the one in hand is gone, 0 fresh to 1 dull. */
  worn: number
}

/** A sheet with less of its life left than this is dull [model]. */
const DULL = 1e-6

/**
 * What is left of sheets that were counted after grits took so much of their life, in sheets: the one in hand is worn out first, then the
 * next fresh one is taken. Where nothing was taken they are as they were counted, a dull one too.
 */
export function sheetsLeft({ count, worn }: Sheets, taken: number): Sheets {
  if (taken <= 0) return { count, worn }
  const life = Math.max(0, count - worn - taken)
  const left = Math.max(0, Math.ceil(life - DULL))
  return { count: left, worn: left ? Math.max(0, left - life) : 0 }
}
