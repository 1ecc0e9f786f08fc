import { nth } from '../sure'
import type { BarrelId } from '../barrel'
import type { Defect, DefectKind, RepairWay } from '../defects'
import type { DiameterReading, Extra, ExtraWork } from '../plan'
import type { Product } from '../shelf'

/** A part in the press: in, or tried, with what was read off where somebody did. */
export interface Pressing {
  /** The step under way. */
  step: string
  /** The part, by its name. */
  part: string
  /** In without being tried, or how it was when it was tried. */
  verdict: 'in' | 'short' | 'right' | 'far'
  /** How far before its ring it stands, mm; below 0 past it; null where nobody said. */
  left: number | null
  /** How far the point stands out, mm; null where nobody said. */
  out: number | null
  /** Whether the point goes fully back; null where nobody said. */
  back: boolean | null
  /** Put in otherwise than the fitting has it; absent: as it is. */
  as?: OtherwiseIn
}

/** A part that was put in otherwise than the fitting has it. */
export interface OtherwiseIn {
  /** Glued in, cut to a length, or one of another kind. */
  how: 'glued' | 'cut' | 'another'
  /** The length it was cut to, mm; null where nobody said, and where it was not cut. */
  to: number | null
  /** Which kind, in the turner's words; empty where it was the same. */
  what: string
}

/** A pen that goes to somebody. People and places are named by their ids alone: a log is never changed, and people can be forgotten. */
export interface Leaving {
  /** For money, or as a gift. */
  how: 'sold' | 'given'
  /** What it brought, in minor units; null where nobody said, and of a gift. */
  price: number | null
  /** Where: a fair, a shop; null: elsewhere. */
  place: string | null
  /** To whom, of the customers; null: nobody of them. */
  customer: string | null
  /** For which order; null: for none. */
  order: string | null
  /** What went with it: a box, a card. */
  with: readonly string[]
  /** What else there is to say of it; empty where nothing is. */
  words: string
}

/** What is known of a pen that was made before its log was kept here. */
export interface Made {
  /** Minutes with hands on it; null where nobody wrote them down. */
  minutes: number | null
  /** Coats of its finish; null where nobody wrote them down. */
  coats: number | null
  /** Defects that it had, by their kinds; where they were is not known. */
  defects: readonly DefectKind[]
  /** What else there is to say of it; empty where nothing is. */
  words: string
}

/** A pen that comes back. */
export interface Returning {
  /** For good, or to be mended and handed over again. */
  why: 'given back' | 'repair'
  /** What was paid back, in minor units; null where nothing was. */
  paid: number | null
  /** In the turner’s words; empty where nobody said. */
  words: string
}

/** What can be entered at the bench, with what belongs to it. Steps and entries are named by their ids. */
export type Entry
  /** Hands on a step; the first one of a pen starts its clock. */
  = | { kind: 'begin', payload: { step: string } }
  /** A step is done; of a coat: it is on. Where it was done on several pens together: its part of the time, s, and of how many pens. */
    | { kind: 'done', payload: { step: string, shared?: { seconds: number, pens: number } } }
  /** A step is left out. */
    | { kind: 'skip', payload: { step: string } }
    | { kind: 'defect', payload: Omit<Defect, 'id'> & { step: string | null } }
  /** Something looked at in a step of the preparation. */
    | { kind: 'check', payload: { step: string, check: string, answer: 'yes' | 'no' } }
  /** Whether the scratches before a grit are gone, looked for under a raking light. */
    | { kind: 'look', payload: { step: string, answer: 'not yet' | 'cannot tell' } }
  /** A coat touched while the step that follows it waits: what it was like under a finger. */
    | { kind: 'touch', payload: { step: string, felt: 'tacky' | 'hard' } }
  /** A diameter at a place of a barrel, mm, during a step. */
    | { kind: 'measure', payload: DiameterReading }
  /** A coat more than planned is on; `step` is the one under way. */
    | { kind: 'coat', payload: { product: string, step: string | null, item?: Product } }
  /** Something done that no plan asked for, with an abrasive or a product by its id; `step` is the one under way. */
    | { kind: 'extra', payload: Omit<Extra, 'key' | 'work'> & { work: Exclude<ExtraWork, 'coat'> } }
  /** A part of the fitting in the press. */
    | { kind: 'press', payload: Pressing }
  /** A step waits for so many s more from now on, because the turner wants it to. */
    | { kind: 'wait', payload: { step: string, seconds: number } }
  /** A remark of the turner's own, about the step under way; with a picture of the pen as it was then, where one was taken. */
    | { kind: 'remark', payload: { text: string, step: string | null, photo?: string } }
  /** Hands-on time of a step as the turner puts it right afterwards, s; null is as measured. */
    | { kind: 'time', payload: { step: string, seconds: number | null } }
  /** A question about the cause of a defect, answered. */
    | { kind: 'answer', payload: { defect: string, question: string, answer: 'yes' | 'no' | 'not known' } }
  /** What the turner judges a defect’s cause to be; null takes the judgement away. */
    | { kind: 'judge', payload: { defect: string, cause: string | null } }
  /** The pen leaves the bench, or comes back to it; why, where somebody said so. */
    | { kind: 'away', payload: { how: 'set aside' | 'given up' | 'mistake' | 'back', why: string } }
  /** The pen was made before its log was kept here, and finished then: its steps are over, and no more is known of them. */
    | { kind: 'made', payload: Made }
  /** The pen goes to somebody. */
    | { kind: 'leave', payload: Leaving }
  /** It comes back. */
    | { kind: 'return', payload: Returning }
  /** In a class: tools and cautions, or a step of this kind, were agreed to, asked to be looked at, or seen by the teacher. */
    | { kind: 'gate', payload: { gate: string, how: 'agreed' | 'asked' | 'seen' } }
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
