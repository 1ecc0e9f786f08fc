import type { AbrasiveMark } from '../abrasives'
import type { BarrelId, CutHabits, End, Fitting, Shape } from '../barrel'
import type { Climate, SetsBy } from '../climate'
import type { Source } from '../figures'
import type { FilmBuild } from '../film'
import type { Blank } from './blank'
import type { Method } from './method'

/** Classes of blank that change how it is sanded and finished; a wood or resin belongs to one or more. */
export type MaterialClass
  = | 'close-grained' | 'open-pored' | 'oily' | 'bleeding' | 'soft' | 'figured' | 'hybrid' | 'resin' | 'laminated'

/** What the blank is made of. */
export interface Material {
  id: string
  name: string
  classes: readonly MaterialClass[]
  /** Side hardness (Janka), N; absent when nobody knows it. */
  hardness?: { value: number, source: Source }
  /** Density at workshop moisture, kg/m³; absent when nobody knows it. */
  density?: { value: number, source: Source }
  /** Colour for the drawings. */
  colour: string
  source: Source
}

/** An abrasive that is on the shelf, and whether it may be used wet or dry. */
export interface ShelfAbrasive extends AbrasiveMark {
  id: string
  wet: boolean
  dry: boolean
  /** How much of its life is gone, 0 fresh to 1 dull, and how many pieces are there. */
  worn?: number
  count?: number
}

/** What a wait is for. “Wipe off” is what an oil is left to soak for, “rest” what a soft film is left alone for. */
export type WaitPurpose = 'square' | 'sand' | 'next coat' | 'level' | 'wipe off' | 'assemble' | 'hand over' | 'rest'

/** Every kind of product that a plan asks for, named by what it is. */
export const productRoles = [
  'thin CA', 'medium CA', 'thick CA', 'accelerator', 'tube epoxy', 'plastic polish', 'fine polish', 'alcohol', 'sanding sealer', 'friction polish', 'carnauba wax',
  'melamine lacquer', 'wood conditioner', 'shellac wax', 'wipe-on finish', 'finishing oil', 'hard wax', 'spray lacquer',
] as const
export type ProductRole = typeof productRoles[number]

/** A wait in s: at 21 °C and 50 to 65 % humidity if it is ours, as it stands if it is the label's. `latest` is by when the next thing must be done, where it must not be put off. */
export interface BaseWait {
  plain: number
  accelerated?: number
  latest?: number
  source: Source
}

/** The bottle of a product that is in use; amounts in ml, what is not known is absent. */
export interface Bottle {
  /** The day it was opened, ISO 8601; absent when not known, null when it is still sealed. */
  opened?: string | null
  /** Days it keeps once opened, as the turner has found. */
  keeps?: number
  left?: number
  size?: number
  /** Further bottles, still sealed. */
  sealed?: number
  /** Price of a bottle in minor units of money. */
  price?: number
}

/** A glue, finish or polish that is on the shelf, named by what it is. */
export interface Product {
  id: string
  name: string
  role: ProductRole
  film?: FilmBuild
  setsBy?: SetsBy
  waits?: Partial<Record<WaitPurpose, BaseWait>>
  /** What its own label says, which stands above ours. */
  label?: Partial<Record<WaitPurpose, BaseWait>>
  /** Days it keeps once opened, where that is short. */
  keeps?: { days: number, source: Source }
  bottle?: Bottle
  source: Source
}

export interface Shelf {
  abrasives: readonly ShelfAbrasive[]
  products: readonly Product[]
}

export type ToolId = 'skew' | 'round carbide' | 'square carbide' | 'gouge'

/** How much film is wanted over the wood. */
export type FilmWish = 'gloss' | 'close'

/** What the tubes are glued with: what suits what is on the shelf, or as the turner rather has it. */
export type GlueWish = 'by the shelf' | 'epoxy' | 'CA with accelerator' | 'CA overnight'

/** How a pen is sized, sanded and finished where the turner says so. */
export interface Sizing {
  /** Outlines of the barrels; a slight belly where none is said. */
  shapes?: Partial<Record<BarrelId, Shape>>
  /** Ends that the turner rather turns to a diameter (mm) of their own. */
  ends?: readonly { barrel: BarrelId, end: End, diameter: number }[]
  glue?: GlueWish
  /** A ladder of one's own on the bare blank, by the ids of the abrasives in their order; else the best is worked out. */
  ladder?: readonly string[]
  /** Grits to keep in it, grits to leave out, and the greatest jump (0 lifts it). */
  insist?: readonly string[]
  refuse?: readonly string[]
  jump?: number
  /** Depth of the marks the ladder begins with and of those it may leave, µm, where the turner measured or judged them. */
  marks?: number
  leave?: number
  /** Spindle speed to sand at, rev/min, where it is not the method's: the other school. */
  sandSpeed?: number
  /** How deep a finish is wanted, as the least film of a CA finish in µm: 10 barely there, 20 close to the wood, 40 gloss, 80 deep. */
  depth?: number
  /** The method as it stands, without the coats that the material would add to it. */
  asItStands?: boolean
}

export interface Wishes extends Sizing {
  tool: ToolId
  film: FilmWish
}

/** A turner's own ways where they are not the usual ones: spare wood and kerf, how far bits wander (part of the depth), least wall over the tube (mm). */
export interface Habits extends CutHabits {
  wander?: number | null
  leastWall?: number | null
}

/** All that a plan is made from. It stays in the plan, so that every saved version explains itself. */
export interface PlanInputs {
  fitting: Fitting
  material: Material
  method: Method
  shelf: Shelf
  climate: Climate
  wishes: Wishes
  blank?: Blank
  habits?: Habits
  /** The turner's own cut rate and capacity on wood, as factors on the model's, once something is learnt. */
  own?: { rate: number, capacity: number }
  /** What the turner's own coats build, µm, by product, once something was measured. */
  builds?: Readonly<Record<string, number>>
}
