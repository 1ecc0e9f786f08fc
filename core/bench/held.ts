import type { BenchEvent, EventOf } from './event'

/** An entry that settles a step: it is done, or left out. */
export type SettlingEntry = EventOf<'done'> | EventOf<'skip'>
/** An entry about the work on a step. */
export type StepEntry = EventOf<'begin'> | SettlingEntry
/** What was seen, answered, chosen, put on beyond the plan. */
export type Said = Exclude<BenchEvent, StepEntry | EventOf<'measure'> | EventOf<'undo'>>

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
  /** All that is neither. */
  said: readonly Said[]
}

/** Sorts the entries that are in force. */
export function heldOf(all: readonly BenchEvent[]): Held {
  const steps: StepEntry[] = []
  const measured: EventOf<'measure'>[] = []
  const said: Said[] = []
  for (const event of all) {
    if (event.kind === 'measure') measured.push(event)
    else if (event.kind === 'begin' || isSettling(event)) steps.push(event)
    else if (event.kind !== 'undo') said.push(event)
  }
  return { all, steps, measured, said }
}

/** Whether an entry settles a step. */
export const isSettling = (event: BenchEvent): event is SettlingEntry => event.kind === 'done' || event.kind === 'skip'

/** Whether an entry parts the time: hands went from one thing to the next. Noting and mending counts to the step that is under way. */
export const partsTime = (event: BenchEvent): boolean => event.kind === 'begin' || event.kind === 'coat' || isSettling(event)
