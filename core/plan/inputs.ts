import type { AbrasiveMark } from '../abrasives'
import type { BarrelId, CutHabits, End, Fitting, Shape } from '../barrel'
import type { Climate, SetsBy } from '../climate'
import type { Source } from '../figures'
import type { Applicator, FilmBuild } from '../film'
import type { Blank } from './blank'

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

/** What a wait is for. */
export type WaitPurpose = 'square' | 'sand' | 'next coat' | 'level' | 'assemble' | 'hand over'

export type ProductRole = 'thin CA' | 'medium CA' | 'accelerator' | 'tube epoxy' | 'plastic polish' | 'alcohol'

/** A base wait at 21 °C and 50 to 65 % humidity, in s. */
export interface BaseWait {
  plain: number
  accelerated?: number
  source: Source
}

/** A glue, finish or polish that is on the shelf, named by what it is. */
export interface Product {
  id: string
  name: string
  role: ProductRole
  film?: FilmBuild
  setsBy?: SetsBy
  waits?: Partial<Record<WaitPurpose, BaseWait>>
  source: Source
}

export interface Shelf {
  abrasives: readonly ShelfAbrasive[]
  products: readonly Product[]
}

export type MethodId = 'ca-thin-first'

/** A way of finishing, with the settings a turner may change. */
export interface Method {
  id: MethodId
  name: string
  /** Thin coats that soak in, without accelerator, before the others. */
  soakCoats: number
  /** Medium coats at the end, when medium CA is on the shelf. */
  mediumCoats: number
  applicator: Applicator
  /** Spindle speeds, rev/min. */
  speeds: { sand: number, coat: number, level: number, polish: number }
  /** Greatest ratio of neighbouring grain sizes. */
  greatestJump: number
  source: Source
}

export type ToolId = 'skew' | 'round carbide' | 'square carbide' | 'gouge'

/** How much film is wanted over the wood. */
export type FilmWish = 'gloss' | 'close'

/** What the tubes are glued with: what suits what is on the shelf, or as the turner rather has it. */
export type GlueWish = 'by the shelf' | 'epoxy' | 'CA with accelerator' | 'CA overnight'

/** How a pen is sized and sanded where the turner says so. */
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
}
