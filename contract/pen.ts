import type { BenchEvent, PenSummary } from '../core/bench'
import type { AirReading } from '../core/climate'
import type { Plan, Sizing } from '../core/plan'
import type { NewPen } from '../schemas'

/** A pen's row: who it is for and what it is made from. Its plan and its log stand beside it. */
export interface Pen {
  /** Its name in the workshop's tables and addresses. */
  id: string
  /** What stands across its cut: a letter and a number. */
  mark: string
  /** What the turner calls it. */
  name: string
  /** For whom or why; null when nobody said. */
  reason: string | null
  /** The day it is due, YYYY-MM-DD; null when it is not. */
  due: string | null
  /** Its fitting, by its id. */
  fitting: string
  /** Its material, by its id. */
  material: string
  /** Its method, by its id. */
  method: string
  /** The tool it is turned with last. */
  tool: NewPen['tool']
  /** How much film is wanted. */
  film: NewPen['film']
  /** The blank of the shelf it is cut from, if it is. */
  blank: string | null
  /** How it is sized, sanded and finished where the turner says so. */
  sizing: Sizing
  /** Whose it is, by their id; null where nobody was asked. */
  maker: string | null
  /** The class it is made in, by its id; null where it is made in none. */
  classId: string | null
  /** What is asked for it, in minor units; null while nobody said. */
  asked: number | null
  /** The version of its plan that counts. */
  planVersion: number
  /** Counts up with every change of the row. */
  version: number
  /** When it was started, ISO 8601. */
  createdAt: string
}

/** An entry of the log with what the server adds. */
export type StoredEvent = BenchEvent & {
  /** Its place in the log of all pens. */
  seq: number
  /** When it came in, ISO 8601. */
  receivedAt: string
  /** Who entered it, by their id; absent where nobody was asked. */
  by?: string
}

/** A pen with everything that its screens are worked out from. */
export interface WholePen {
  /** Its row. */
  pen: Pen
  /** The plan its log is played on; null when it cannot be read. */
  plan: Plan | null
  /** Its log, in the order it came in. */
  events: StoredEvent[]
  /** When steps of other pens were entered meanwhile, ISO 8601, in their order. */
  elsewhere: string[]
  /** The air over the time of its log, in the order of time. */
  air: AirReading[]
}

/** Every pen in work with all that its screen is worked out from, and up to where that is whole. */
export interface WholeBench {
  /** The number of the last entry that is in these logs. */
  seq: number
  /** The number of the last change of anything else that is in them. */
  changed: number
  /** The pens in work. */
  pens: Omit<WholePen, 'elsewhere' | 'air'>[]
}

/** A pen as lists show it. */
export interface ListedPen {
  /** Its row. */
  pen: Pen
  /** What follows from its plan and its log. */
  summary: PenSummary
}

/** One page of a list of pens. */
export interface PenPage {
  /** Its rows, in the order that was asked for. */
  pens: ListedPen[]
  /** Where the next page begins, to be handed back as `after`; null at the end. */
  next: string | null
}

/** The day that is due first. */
export interface DueDay {
  /** YYYY-MM-DD. */
  day: string
  /** For whom or why; null when nobody said. */
  reason: string | null
  /** Pens of that day that are not finished. */
  open: number
  /** All pens of that day. */
  all: number
}
