import type { DefectKind } from './defect'

/** Something that can be known about how a defect came about: out of the log, or by asking. */
export interface Evidence {
  /** Its id in the catalogue. */
  id: string
  /** Asked so that “yes” means it holds; absent where only the log can tell. */
  ask?: string
  /** How often it holds when none of the causes that it speaks for is at work, 0 to 1. */
  base: number
}

/** A cause of one kind of defect. */
export interface Cause {
  /** Its id in the catalogue. */
  id: string
  /** Of which defect. */
  kind: DefectKind
  /** What happened, in a sentence. */
  says: string
  /** What to do differently next time. */
  avoid: string
  /** How often it is behind such a defect before anything is known, as parts of all its causes. */
  prior: number
  /** How often each piece of evidence holds when this cause is at work, 0 to 1; where nothing is said, as often as elsewhere. */
  speaks: Readonly<Record<string, number>>
}

/** What is known of one piece of evidence, in words. */
export interface Finding {
  /** The id of what was looked for. */
  evidence: string
  /** Whether it was found. */
  holds: boolean
  /** What was found, in a sentence. */
  says: string
  /** Who says so. */
  from: 'log' | 'answer'
}

/** The cause that is none of those written down. */
export const OTHER = 'something else'
