import type { Source } from '../figures'
import type { Applicator } from '../film'
import type { ProductRole } from './inputs'

/** The families of finishes. */
export const finishFamilies = [
  'CA film', 'friction polish', 'sealer and polish', 'sealer and lacquer', 'conditioner and wax', 'wipe-on', 'oil', 'hard wax', 'bare polish', 'spray lacquer',
] as const
export type FinishFamily = typeof finishFamilies[number]

/** What is done to a layer's coats once they are dry, and after which of them. */
export interface After {
  do: 'buff' | 'cut back' | 'wipe off'
  when: 'each' | 'between' | 'last'
}

/** Coats of one product that follow one another. */
export interface Layer {
  role: ProductRole
  /** How many; a range is filled as far as the depth wished asks. */
  count: number | { least: number, most: number }
  /** They are to soak in: part of each stays in the pores. */
  soak: boolean
  accelerate: boolean
  applicator: Applicator
  /** Spindle speed while it goes on, rev/min; 0 with the lathe off. */
  speed: number
  after: After | null
}

/** How fine the last surface is to be. */
export type Sheen = 'glass' | 'high gloss' | 'gloss' | 'satin'
export const sheens: readonly Sheen[] = ['glass', 'high gloss', 'gloss', 'satin']

/** A way of finishing with its settings: a versioned value. A turner copies and changes it; every plan holds the version it was made with. */
export interface Method {
  id: string
  version: number
  family: FinishFamily
  name: string
  layers: readonly Layer[]
  /** Levelled never, once all coats are on, or after every so many. */
  levelling: 'never' | 'at the end' | number
  sheen: Sheen
  /** Plastic polishes at the end: the cutting one, then the fine one. */
  polishes: 0 | 1 | 2
  /** Spindle speeds, rev/min. */
  speeds: { sand: number, level: number, polish: number }
  /** Greatest ratio of neighbouring grain sizes. */
  greatestJump: number
  source: Source
}

/** Families whose finish stands on the wood as a film, and how much of the least film of a CA gloss is looked for in them: CA is the measure, others are thinner [model]. */
const FILM_PART: Partial<Record<FinishFamily, number>> = { 'CA film': 1, 'sealer and lacquer': 0.5, 'spray lacquer': 0.6, 'wipe-on': 0.5 }

/** The part of a CA film that this family's film is looked for to have; undefined where the finish has no film to speak of. */
export const filmPart = ({ family }: Pick<Method, 'family'>): number | undefined => FILM_PART[family]
export const hasFilm = (method: Pick<Method, 'family'>): boolean => filmPart(method) !== undefined

/** The layer whose count follows the depth wished. */
export const growingLayer = ({ layers }: Pick<Method, 'layers'>): number => layers.findIndex(layer => typeof layer.count !== 'number')
