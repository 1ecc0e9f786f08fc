import type { Product, ShelfAbrasive } from '../../shelf'
import type { MendId, StepId } from './ids'

/** What is done at the bench and no plan asks for, by what it does to the surface. */
export const extraWorks = ['coat', 'sand', 'level', 'smooth', 'pads', 'polish', 'take off', 'burnish', 'harden'] as const
/** One of them. */
export type ExtraWork = (typeof extraWorks)[number]

/** Something that was done and no plan asked for, or that the turner puts into one beforehand. */
export interface Extra {
  /** The entry that says so, or its name among the wishes; it names the steps. */
  key: MendId
  /** What is done. */
  work: ExtraWork
  /** With what: an abrasive or a product by its id; null for what needs neither. */
  with: string | null
  /** The same with all that is known of it, where the plan’s own shelf may not have it: it was bought since. */
  item?: ShelfAbrasive | Product
  /** The step that was under way, or before which it is put; null when none was left. */
  step: StepId | null
}
