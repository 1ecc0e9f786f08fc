import type { ClassStanding, ClassWork } from '../core/classroom'
import type { ListedPen } from './pen'

/** A class of this workshop. */
export interface ClassEntry {
  /** Its id. */
  id: string
  /** What it is called. */
  name: string
  /** How it works. */
  work: ClassWork
  /** What its pens are made from. */
  makes: { fitting: string, material: string, method: string }
  /** How many pens it has. */
  pens: number
  /** Whether it is over. */
  ended: boolean
  /** When it was set up, ISO 8601. */
  made: string
  /** Counts up with every change. */
  version: number
}

/** One pupil’s place in a class. */
export interface Seat {
  /** Whose. */
  person: string
  /** Their pen. */
  pen: ListedPen
  /** How it stands by the gates; null where it cannot be worked out. */
  standing: ClassStanding | null
  /** Defects that are open on it. */
  defects: number
  /** Points by criteria, and words. */
  marks: { points: (number | null)[], words: string }
}

/** A class with everybody in it. */
export interface ClassPage {
  /** The class. */
  entry: ClassEntry
  /** Its places, by the pens’ marks. */
  seats: Seat[]
}
