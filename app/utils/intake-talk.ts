import type { IntakeKnown, IntakeName, JudgedRow, Mapping, UnknownWord } from '#schemas/intake'

/** What the worker is told of a sheet: the file or the text it comes from, or how it is to be read. */
export type AskedIntake = { number: number, known: IntakeKnown } & (
  | { kind: 'file', bytes: ArrayBuffer }
  | { kind: 'text', text: string }
  | { kind: 'read', name: IntakeName, mapping: Mapping }
  /** Another kind of thing is in it: how it is read is guessed anew. */
  | { kind: 'guess', name: IntakeName }
)

/** A sheet as it would come in. */
export interface IntakeView {
  /** What it holds. */
  name: IntakeName
  /** How it is read. */
  mapping: Mapping
  /** Whether the order of day and month can be seen from its days; null where that was settled before. */
  areDaysSure: boolean | null
  /** The headings of its columns. */
  heads: readonly string[]
  /** The first cells of each column that are not empty. */
  samples: readonly (readonly string[])[]
  /** How many rows there are. */
  rows: number
  /** The first rows that have no fault. */
  first: readonly JudgedRow[]
  /** Rows with other faults than words that name nothing known, with what stands in their cells; not all where there are very many. */
  faulty: readonly { row: JudgedRow, cells: readonly string[] }[]
  /** The numbers of all rows with faults. */
  wrong: readonly number[]
  /** How many of them have words that name nothing known, and nothing else. */
  worded: number
  /** Words that name nothing known, field by field. */
  unknown: readonly (readonly [string, readonly UnknownWord[]])[]
}

/** What the worker tells: a sheet as it would come in, with its text where it was read anew, or why it cannot be read. */
export type ToldIntake = { number: number } & ({ view: IntakeView, text?: string } | { fault: string })
