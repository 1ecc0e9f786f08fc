import type { ListedPen, StoredEvent } from './pen'

/**
 * Kinds of things besides entries that screens hold: a change of one is numbered, so that a screen that was away asks for what it
 * missed.
 */
export const changedKinds = [
  'pen', 'air', 'workshop', 'shelf', 'fittings', 'blanks', 'bits', 'methods', 'evenings', 'findings', 'orders', 'classes',
] as const
/** One of them. */
export type ChangedKind = (typeof changedKinds)[number]

/** Something that was changed: fetch it anew. */
export interface Change {
  /** What. */
  kind: ChangedKind
  /** Of a pen its id; else empty, for the whole of its kind. */
  ref: string
}

/** One message to a screen that follows. */
export type Message
  /** A sign of life, with the time here. */
  = | { kind: 'pulse', now: string }
  /** What came in, in the order of the numbers, and the rows of its pens as they are now. */
    | { kind: 'entries', entries: StoredEvent[], rows: ListedPen[] }
  /** What else was changed, the number up to which that is told, and the rows of pens that were. */
    | { kind: 'changes', upTo: number, changes: Change[], rows: ListedPen[] }
