import type { BarrelId } from '../barrel'
import type { Defect, RepairWay } from '../defects'
import type { DiameterReading } from '../plan'

/** What can be entered at the bench, with what belongs to it. Steps and entries are named by their ids. */
export type Entry
  /** Hands on a step; the first one of a pen starts its clock. */
  = | { kind: 'begin', payload: { step: string } }
  /** A step is done; of a coat: it is on. */
    | { kind: 'done', payload: { step: string } }
  /** A step is left out. */
    | { kind: 'skip', payload: { step: string } }
    | { kind: 'defect', payload: Omit<Defect, 'id'> & { step: string | null } }
  /** Something looked at in a step of the preparation. */
    | { kind: 'check', payload: { step: string, check: string, answer: 'yes' | 'no' } }
  /** Whether the scratches before a grit are gone, looked for under a raking light. */
    | { kind: 'look', payload: { step: string, answer: 'not yet' | 'cannot tell' } }
  /** A diameter at a place of a barrel, mm, during a step. */
    | { kind: 'measure', payload: DiameterReading }
  /** The way chosen to mend a defect before the ladder; `step` is the one under way. */
    | { kind: 'repair', payload: { defect: string, way: RepairWay, step: string | null } }
  /** A noted defect is mended, or left as it is. */
    | { kind: 'settle', payload: { defect: string, how: 'mended' | 'left' } }
  /** Takes entries back; taking back an undo puts them in force again. */
    | { kind: 'undo', payload: { entries: readonly string[] } }

/** One row of the log. Made where it happened, with its own id and that device's time; never changed or removed. */
export type BenchEvent = Entry & {
  id: string
  pen: string
  barrels: readonly BarrelId[]
  /** Time on the device, ISO 8601 in UTC with milliseconds. */
  at: string
  device: string
}

export type EventOf<K extends Entry['kind']> = Extract<BenchEvent, { kind: K }>

/** The log in its one order, whatever order it came in: by the time on the device, then by id; each id once. */
export function inOrder(events: Iterable<BenchEvent>): BenchEvent[] {
  const once = new Map<string, BenchEvent>()
  for (const event of events) if (!once.has(event.id)) once.set(event.id, event)
  return [...once.values()].sort((a, b) => compare(a.at, b.at) || compare(a.id, b.id))
}

const compare = (a: string, b: string): number => a < b ? -1 : a > b ? 1 : 0
