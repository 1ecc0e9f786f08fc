import type { BenchEvent, EventOf } from './event'

/** An entry that settles a step: it is done, or left out. */
export type SettlingEntry = EventOf<'done'> | EventOf<'skip'>
/** An entry about the work on a step. */
export type StepEntry = EventOf<'begin'> | SettlingEntry
/** What was seen, answered, chosen, put on beyond the plan. */
export type Said = Exclude<BenchEvent, StepEntry | EventOf<'measure'> | EventOf<'touch' | 'wait'> | EventOf<'undo'>>

/**
 * The entries in force, by what they are about, each part in the order of the log: a long log is gone through once, not once for every
 * question that is asked of it.
 */
export interface Held {
  /** All of them, undos among them. */
  all: readonly BenchEvent[]
  /** About the work on steps. */
  steps: readonly StepEntry[]
  /** Diameters. */
  measured: readonly EventOf<'measure'>[]
  /** Coats that were touched. */
  touches: readonly EventOf<'touch'>[]
  /** Waits that the turner made longer. */
  longer: readonly EventOf<'wait'>[]
  /** All that is neither. */
  said: readonly Said[]
}

/** Sorts the entries that are in force. */
export function heldOf(all: readonly BenchEvent[]): Held {
  const steps: StepEntry[] = []
  const measured: EventOf<'measure'>[] = []
  const touches: EventOf<'touch'>[] = []
  const longer: EventOf<'wait'>[] = []
  const said: Said[] = []
  for (const event of all) {
    if (event.kind === 'measure') measured.push(event)
    else if (event.kind === 'touch') touches.push(event)
    else if (event.kind === 'wait') longer.push(event)
    else if (event.kind === 'begin' || isSettling(event)) steps.push(event)
    else if (event.kind !== 'undo') said.push(event)
  }
  return { all, steps, measured, touches, longer, said }
}

/** Whether an entry settles a step. */
export const isSettling = (event: BenchEvent): event is SettlingEntry => event.kind === 'done' || event.kind === 'skip'

/** Whether a step was done together with those of other pens: its part of the time stands with it. */
export const isShared = (event: BenchEvent): event is EventOf<'done'> & { payload: { shared: { seconds: number } } } =>
  event.kind === 'done' && event.payload.shared !== undefined

const PARTS: ReadonlySet<BenchEvent['kind']> = new Set(['coat', 'extra', 'away', 'leave', 'return'])

/**
 * Whether an entry parts the time: hands went from one thing to the next. Noting and mending counts to the step that is under way, and
 * so does “paper on”.
 */
export const partsTime = (event: BenchEvent): boolean =>
  PARTS.has(event.kind) || isSettling(event)
