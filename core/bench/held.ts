import type { BenchEvent, EventOf } from './event'

export type SettlingEntry = EventOf<'done'> | EventOf<'skip'>
export type StepEntry = EventOf<'begin'> | SettlingEntry

/** The entries in force, by what they are about, each part in the order of the log: a long log is gone through once, not once for every question that is asked of it. */
export interface Held {
  all: readonly BenchEvent[]
  steps: readonly StepEntry[]
  measured: readonly EventOf<'measure'>[]
  /** All that is neither: what was seen, answered, chosen, put on beyond the plan. */
  said: readonly Exclude<BenchEvent, StepEntry | EventOf<'measure'> | EventOf<'undo'>>[]
}

/** Sorts the entries that are in force. */
export function heldOf(all: readonly BenchEvent[]): Held {
  const steps: StepEntry[] = []
  const measured: EventOf<'measure'>[] = []
  const said: Held['said'][number][] = []
  for (const event of all) {
    if (event.kind === 'measure') measured.push(event)
    else if (event.kind === 'begin' || isSettling(event)) steps.push(event)
    else if (event.kind !== 'undo') said.push(event)
  }
  return { all, steps, measured, said }
}

/** Whether an entry settles a step: it is done, or left out. */
export const isSettling = (event: BenchEvent): event is SettlingEntry => event.kind === 'done' || event.kind === 'skip'
