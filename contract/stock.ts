import type { Fitting, OwnPress } from '../core/barrel'
import type { OwnHands } from '../core/bench'
import type { MoistureReading } from '../core/climate'
import type { Method } from '../core/method'
import type { Taught } from '../core/plan'
import type { BlankInput, OwnProduct } from '../schemas'
import type { Pen } from './pen'

/** Bits of one diameter on the shelf. */
export interface ShelfBit {
  /** mm. */
  diameter: number
  /** How many. */
  count: number
}

/** A kind of blank on the shelf with what was measured of it. */
export interface ShelfBlank extends Omit<BlankInput, 'version'> {
  /** Its name in the tables. */
  id: string
  /** Counts up with every change. */
  version: number
  /** Weighings and meter readings, in the order of time. */
  readings: (MoistureReading & { id: string })[]
}

/** A fitting on the shelf. */
export interface ShelfFitting {
  /** Its parts and sizes. */
  fitting: Fitting
  /** Counts up with every change. */
  version: number
  /** How many sets are there. */
  sets: number
  /** Whether its bushings are. */
  bushings: 'there' | 'missing' | 'not known'
}

/** A picture that is kept. */
export interface PhotoRef {
  /** Its name in addresses. */
  id: string
  /** px of the large one. */
  width: number
  /** px of the large one. */
  height: number
}

/** One version of a method. */
export interface MethodVersion {
  /** Its settings. */
  method: Method
  /** When it was made, ISO 8601. */
  madeAt: string
  /** The pens whose plans are of it now, those that were worked on last. */
  pens: Pick<Pen, 'id' | 'mark' | 'name'>[]
}

/** What the log of all pens tells about this workshop. */
export type WorkshopLearnt = Taught & {
  /** How far short of their rings mechanisms stop, by the ids of their fittings. */
  presses?: Readonly<Record<string, OwnPress>>
  /** The turner’s own pace at each kind of step, and what changes take. */
  hands?: Readonly<OwnHands>
}

/** A product of the turner’s own as it is kept. */
export type OwnProductKept = OwnProduct & {
  /** Its id. */
  id: string
  /** Counts up with every change. */
  version: number
}
