import type { Source } from '../figures'
import type { Applicator } from '../film'
import type { CoatRole } from '../shelf'

/** The families of finishes. */
export const finishFamilies = [
  'CA film',
  'friction polish',
  'sealer and polish',
  'sealer and lacquer',
  'conditioner and wax',
  'wipe-on',
  'oil',
  'hard wax',
  'bare polish',
  'spray lacquer',
] as const
/** One of them. */
export type FinishFamily = (typeof finishFamilies)[number]

/** What is done to a layer's coats once they are dry, and after which of them. */
export interface After {
  /** What is done. */
  do: 'buff' | 'cut back' | 'wipe off'
  /** After which coats. */
  when: 'each' | 'between' | 'last'
}

/** Coats of one product that follow one another. */
export interface Layer {
  /** What is put on. */
  role: CoatRole
  /** How many; a range is filled as far as the depth wished asks. */
  count: number | { least: number, most: number }
  /** They are to soak in: part of each stays in the pores. */
  soak: boolean
  /** Accelerator is used, where the shelf has some. */
  accelerate: boolean
  /** What it is put on with. */
  applicator: Applicator
  /** Spindle speed while it goes on, rev/min; 0 with the lathe off. */
  speed: number
  /** What is done once it is dry; null for nothing. */
  after: After | null
}

/** What is done to bare wood beside sanding it. Resin takes neither. */
export interface WoodWork {
  /** Thin CA soaks in before the first grit; soft wood gets it in any case. */
  harden: boolean
  /** Rubbed with its own shavings after the last grit. */
  burnish: boolean
}

/** How fine the last surface is to be. */
export type Sheen = 'glass' | 'high gloss' | 'gloss' | 'satin'
/** All of them, the finest first. */
export const sheens: readonly Sheen[] = ['glass', 'high gloss', 'gloss', 'satin']

/**
 * A way of finishing with its settings: a versioned value. A turner copies and changes it; every plan holds the version it was made
 * with.
 */
export interface Method {
  /** Its name in plans; stays the same from version to version. */
  id: string
  /** Counts up with every change. */
  version: number
  /** The family of finishes it belongs to. */
  family: FinishFamily
  /** What the turner calls it. */
  name: string
  /** What is done to bare wood beside sanding it; absent: nothing. */
  wood?: WoodWork
  /** What is put on, in its order. */
  layers: readonly Layer[]
  /** Levelled never, once all coats are on, or after every so many. */
  levelling: 'never' | 'at the end' | number
  /** How fine the last surface is to be. */
  sheen: Sheen
  /** Plastic polishes at the end: the cutting one, then the fine one. */
  polishes: 0 | 1 | 2
  /** Spindle speeds, rev/min. */
  speeds: { sand: number, level: number, polish: number }
  /** Greatest ratio of neighbouring grain sizes. */
  greatestJump: number
  /** Whose it is. */
  source: Source
}

/**
 * How much of the least film of a CA gloss is looked for in each family: CA is the measure, others are thinner [model]; null where the
 * finish has no film to speak of.
 */
const FILM_PART: Record<FinishFamily, number | null> = {
  'CA film': 1,
  'friction polish': null,
  'sealer and polish': null,
  'sealer and lacquer': 0.5,
  'conditioner and wax': null,
  'wipe-on': 0.5,
  'oil': null,
  'hard wax': null,
  'bare polish': null,
  'spray lacquer': 0.6,
}

/** The part of a CA film that this family's film is looked for to have; null where the finish has no film to speak of. */
export const filmPart = ({ family }: Pick<Method, 'family'>): number | null => FILM_PART[family]
/** What a turner looks for in a finish, in the order they are told. */
export const finishLooks = ['film', 'near', 'bare'] as const
/** A film that stands on the wood, a finish close to it, or the blank itself polished. */
export type FinishLook = (typeof finishLooks)[number]
/** Which of them a method gives. */
export const lookOf = (method: Pick<Method, 'family'>): FinishLook =>
  method.family === 'bare polish' ? 'bare' : hasFilm(method) ? 'film' : 'near'

/** Whether the finish stands on the wood as a film. */
export const hasFilm = (method: Pick<Method, 'family'>): boolean => filmPart(method) !== null

/** The least and the most that the growing layer of these may have; undefined when all counts are fixed. */
export function growingRange(layers: readonly Layer[]): { least: number, most: number } | undefined {
  const counts = layers.flatMap(({ count }) => (typeof count === 'number' ? [] : [count]))
  return counts[0]
}
