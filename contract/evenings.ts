import type { EveningDone } from '../core/money'
import type { HoursChange, KeptPlan, Pin } from '../schemas'
import type { WholePen } from './pen'

/** When hands are there on a day of the week or on one day. */
export interface DayHours extends Omit<HoursChange, 'spans'> {
  /** From when to when, by the clock on the wall; none: nobody is there. */
  spans: { from: string, to: string }[]
}

/** An evening as it was to be, and as it was planned last. */
export interface KeptEvening {
  /** Which, YYYY-MM-DD. */
  day: string
  /** As it was planned first on that day. */
  first: KeptPlan
}

/** What evenings are planned from, beside the pens in work. */
export interface EveningsKept {
  /** When hands are there. */
  hours: DayHours[]
  /** What the turner wants of the order. */
  pins: Pin[]
  /** Pens that are planned and not begun, those due first before the others. */
  planned: Omit<WholePen, 'elsewhere' | 'air'>[]
  /** How many more of them there are. */
  more: number
  /** The last evenings as they were to be, the latest first. */
  past: KeptEvening[]
  /** The order in which work was shown last, on whichever device. */
  shown: Pick<KeptPlan['blocks'][number], 'pen' | 'step'>[]
  /** The secret in the address of the calendar; null where nobody made one. */
  calendar: string | null
}

/** What was done in an evening, on all pens. */
export interface EveningSum extends EveningDone {
  /** Steps that were done. */
  steps: number
  /** On how many pens. */
  pens: number
  /** How many of the steps were coats. */
  coats: number
  /** Pens that were sold. */
  sold: number
  /** What they brought, in minor units. */
  taken: number
}
