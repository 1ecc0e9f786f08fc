import type { Trait, Traits } from './pens'

/** How far apart pens are that differ in a trait [model]: wood and finish count most. */
export const APART = { wood: 3, method: 3, class: 2, fitting: 1, tool: 1, air: 1, warmth: 0.5, shape: 0.5 } as const satisfies
Partial<Record<Trait, number>>
/** Traits that pens are compared by. */
export const compared = Object.keys(APART) as (keyof typeof APART)[]

/** One thing in which two pens differ. */
export interface Apart {
  /** Which. */
  trait: keyof typeof APART
  /** What the other has; null where it is not known. */
  there: string | null
  /** How much it counts. */
  by: number
}

/** In what another pen differs from how one is going to be made, what counts most first. What the one does not say is no difference. */
export const apartIn = (one: Traits, other: Traits): Apart[] =>
  compared
    .filter(trait => one[trait] !== undefined && one[trait] !== other[trait])
    .map((trait): Apart => ({ trait, there: other[trait] ?? null, by: APART[trait] }))
    .sort((a, b) => b.by - a.by)
