import type { SupplyChange } from '../schemas'

/** Something that was bought or counted. */
export interface StockMove {
  /** Its name in the tables. */
  id: string
  /** Which thing, as its price is named. */
  what: string
  /** Bought, counted at the shelf, or thrown away. */
  how: 'bought' | 'counted' | 'thrown away'
  /** When, ISO 8601. */
  at: string
  /** How much there was by the log before, in its measure; null where nobody had counted. */
  was: number | null
  /** How much there is since. */
  now: number | null
  /** How many pieces were bought; null of a count. */
  pieces: number | null
  /** What one of them cost, in minor units; null where nobody said. */
  each: number | null
}

/** Where things are bought, and what was bought and counted lately, the latest first. */
export interface Supplies {
  /** By where and in what packs, as far as anybody said. */
  supplies: SupplyChange[]
  /** The latest. */
  moves: StockMove[]
  /** How many are left of pen blanks, bought one for a pen, that were booked in, by material. */
  penBlanks: Record<string, number>
}
