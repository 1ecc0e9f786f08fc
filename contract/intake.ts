import type { IntakeName } from '../schemas/intake'

/** A sheet that was taken in. */
export interface Intake {
  /** Its id, made where it was chosen. */
  id: string
  /** What it was of. */
  name: IntakeName
  /** When, ISO 8601. */
  at: string
  /** How many rows came in. */
  rows: number
  /** When it was undone, ISO 8601; null while it stands. */
  undone: string | null
  /** How many things stayed when it was undone, because something was done with them since; null while it stands. */
  kept: number | null
}
