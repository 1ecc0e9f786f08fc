import type { BarrelId, CutHabits, End, Shape } from '../../barrel'
import type { Extra } from './extra'

/** Tools a barrel is turned with last, which leave their marks. */
export const toolIds = ['skew', 'round carbide', 'square carbide', 'gouge'] as const
/** One of them. */
export type ToolId = (typeof toolIds)[number]

/** How much film is wanted over the wood, in words. */
export const filmWishes = ['gloss', 'close'] as const
/** One of them. */
export type FilmWish = (typeof filmWishes)[number]

/** What the tubes are glued with: what suits what is on the shelf, or as the turner rather has it. */
export const glueWishes = ['by the shelf', 'epoxy', 'CA with accelerator', 'CA overnight'] as const
/** One of them. */
export type GlueWish = (typeof glueWishes)[number]

/** How a pen is sized, sanded and finished where the turner says so; what is absent is worked out. */
export interface Sizing {
  /** Outlines of the barrels; a slight belly where none is said. */
  shapes?: Partial<Record<BarrelId, Shape>>
  /** Ends that the turner rather turns to a diameter (mm) of their own. */
  ends?: readonly { barrel: BarrelId, end: End, diameter: number }[]
  /** What the tubes are glued with. */
  glue?: GlueWish
  /** A ladder of one's own on the bare blank, by the ids of the abrasives in their order; else the best is worked out. */
  ladder?: readonly string[]
  /** What films are levelled with, by its id; else the finest that takes their unevenness out. */
  levelWith?: string
  /** A ladder of one's own on the levelled film, by the ids of the abrasives in their order; else the best is worked out. */
  filmLadder?: readonly string[]
  /** How many polishes follow it; else as many as the method has. */
  polishes?: number
  /** Grits to keep in the ladder, by their ids. */
  insist?: readonly string[]
  /** Grits to leave out of it, by their ids. */
  refuse?: readonly string[]
  /** The greatest ratio of neighbouring grain sizes; 0 lifts it. */
  jump?: number
  /** Depth of the marks the ladder begins with, µm, where the turner measured or judged them. */
  marks?: number
  /** Depth of the marks it may leave, µm. */
  leave?: number
  /** Spindle speed to sand at, rev/min, where it is not the method's: the other school. */
  sandSpeed?: number
  /** How deep a finish is wanted, as the least film of a CA finish in µm: 10 barely there, 20 close to the wood, 40 gloss, 80 deep. */
  depth?: number
  /** What is put into the plan beforehand, each before a step of it. */
  beforehand?: readonly Extra[]
  /** The method as it stands, without the coats that the material would add to it. */
  asItStands?: boolean
}

/** What a turner wants of a pen. */
export interface Wishes extends Sizing {
  /** The tool it is turned with last. */
  tool: ToolId
  /** How much film is wanted, where no depth is said. */
  film: FilmWish
}

/** A turner's own ways where they are not the usual ones; null is as usual. */
export interface Habits extends CutHabits {
  /** How far bits wander, as a part of the depth. */
  wander?: number | null
  /** Least wall over the tube, mm. */
  leastWall?: number | null
}
