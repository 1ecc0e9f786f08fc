import type { Fitting } from '../core/barrel'

/** A pen as it is shown under a secret address: its story and its state, nothing of money or of others. */
export interface ShownPen {
  /** What it is called. */
  name: string
  /** Its fitting, to be drawn. */
  fitting: Fitting
  /** What it is made of. */
  material: { name: string, colour: string, resin: boolean }
  /** Its finish. */
  finish: string
  /** Where the wood comes from; null where nobody said. */
  wood: string | null
  /** How far it is. */
  stage: 'planned' | 'in work' | 'finished' | 'set aside'
  /** Steps that are over, of how many. */
  steps: { done: number, all: number }
  /** What was done, day by day (YYYY-MM-DD). */
  days: { day: string, titles: string[] }[]
}
