import { nth } from '../sure'
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
  /** A coat more than planned is on; `step` is the one under way. */
    | { kind: 'coat', payload: { product: string, step: string | null } }
  /** Hands-on time of a step as the turner puts it right afterwards, s; null is as measured. */
    | { kind: 'time', payload: { step: string, seconds: number | null } }
  /** A question about the cause of a defect, answered. */
    | { kind: 'answer', payload: { defect: string, question: string, answer: 'yes' | 'no' | 'not known' } }
  /** What the turner judges a defect’s cause to be; null takes the judgement away. */
    | { kind: 'judge', payload: { defect: string, cause: string | null } }
  /** A picture of a defect. */
    | { kind: 'photo', payload: { defect: string, photo: string } }
  /** The way chosen to mend a defect; `step` is the one under way, `from` the grit to go back to where that was said. */
    | { kind: 'repair', payload: { defect: string, way: RepairWay, step: string | null, from?: string } }
  /** A noted defect is mended, left as it is, or still shows after its mend. */
    | { kind: 'settle', payload: { defect: string, how: 'mended' | 'left' | 'failed' } }
  /** Takes entries back; taking back an undo puts them in force again. */
    | { kind: 'undo', payload: { entries: readonly string[] } }

/** One row of the log. Made where it happened, with its own id and that device's time; never changed or removed. */
export type BenchEvent = Entry & {
  /** Made where it happened; the same entry sent twice is one. */
  id: string
  /** On which pen. */
  pen: string
  /** On which of its barrels. */
  barrels: readonly BarrelId[]
  /** Time on the device, ISO 8601 in UTC with milliseconds. */
  at: string
  /** The name of the device. */
  device: string
  /** How far that device’s clock was ahead of the workshop’s, ms; absent when it was right or nobody knew. */
  ahead?: number
}

/** An entry of some kinds. */
export type EventOf<K extends Entry['kind']> = Extract<BenchEvent, { kind: K }>

/**
 * The log in its one order, whatever order it came in: by the time it happened, clocks that ran wrong put right, then by id; each id
 * once. Of copies that differ in what is known of the clock the one that knows stands.
 */
export function inOrder(events: Iterable<BenchEvent>): BenchEvent[] {
  const once = new Map<string, BenchEvent>()
  for (const event of events) {
    const kept = once.get(event.id)
    if (!kept || (event.ahead ?? -Infinity) > (kept.ahead ?? -Infinity)) once.set(event.id, event)
  }
  const all = [...once.values()].map(righted)
  // A log mostly comes in its order.
  for (let index = 1; index < all.length; index++) if (inTurn(nth(all, index - 1), nth(all, index)) > 0) return sorted(all)
  return all
}

/** Sorted by numbers, which compare quicker than the words they stand for. */
const sorted = (all: readonly BenchEvent[]): BenchEvent[] =>
  all
    .map(event => ({ event, at: Date.parse(event.at) }))
    .sort((a, b) => a.at - b.at || compare(a.event.id, b.event.id))
    .map(one => one.event)

const inTurn = (a: BenchEvent, b: BenchEvent): number => compare(a.at, b.at) || compare(a.id, b.id)

/** The entry with the time it truly happened. */
function righted(event: BenchEvent): BenchEvent {
  if (!event.ahead) return event
  const { ahead, ...rest } = event
  return { ...rest, at: new Date(Date.parse(event.at) - ahead).toISOString() }
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
