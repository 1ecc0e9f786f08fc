import type { DefectKind } from '../defects'

/** By what pens can be told apart; `who`: whoever makes it, by their id. */
export const traits = [
  'method', 'wood', 'class', 'fitting', 'first grit', 'last grit', 'applicator', 'first coat', 'product', 'coats', 'air', 'warmth', 'tool',
  'shape', 'hour', 'who',
] as const
/** One of them. */
export type Trait = (typeof traits)[number]

/** What is measured on a pen: minutes with hands on it, of kinds of work, and the film that a coat builds (µm). */
export const figures = [
  'minutes', 'minutes of sanding', 'minutes of coats', 'minutes of levelling', 'minutes of turning', 'minutes of mends', 'film of a coat',
] as const
/** One of them. */
export type FigureName = (typeof figures)[number]

/** How one pen was made; absent: not known, or it has none. */
export type Traits = Readonly<Partial<Record<Trait, string>>>

/** One pen that is over, finished or given up, as questions see it. */
export interface ToldPen {
  /** When it was over, ISO 8601. */
  ended: string
  /** When its first coat went on, ISO 8601; absent without one. */
  coated?: string
  /** How it was made. */
  traits: Traits
  /** What went wrong on it, each kind once. */
  defects: readonly DefectKind[]
  /** Mends of which it is known how they went. */
  mends: number
  /** Those of them after which the defect still showed. */
  failed: number
  /** Whether it was given up, or a barrel of it was made again from a new blank. */
  scrapped: boolean
  /** Whether it was finished. */
  finished: boolean
  /** What was measured on it. */
  figures: Readonly<Partial<Record<FigureName, number>>>
}
