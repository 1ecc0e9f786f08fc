import { abrasiveName } from '../abrasives'
import type { BarrelId } from '../barrel'
import { isGrit, type Plan, type Step } from '../plan'
import { inOrder, type BenchEvent, type Entry } from './event'
import { replay } from './replay'
import { operationOf } from './together/operation'

/** A pen as entries are put right on it. */
export interface Logged {
  /** Its id. */
  pen: string
  /** Its plan, before what its log puts in. */
  plan: Plan
  /** Its log, in any order. */
  events: readonly BenchEvent[]
}

/** An entry as it is entered anew. */
export interface Anew {
  /** On which pen. */
  pen: string
  /** What. */
  entry: Entry
  /** On which of its barrels. */
  barrels: readonly BarrelId[]
  /** When it happened, ISO 8601. */
  at: string
}

/** What puts a log right: entries taken back, by their pens, and entries entered anew; or why it cannot be. */
export type PutRight
  = { takeBack: { pen: string, entries: string[] }[], anew: Anew[] }
    | { cannot: BenchEvent, why: 'named' | 'no such step' | 'other barrel' }

/** Entries that say what a step was like or what was done on it, and can be said of another. */
const MOVABLE: readonly Entry['kind'][] = ['begin', 'done', 'skip', 'check', 'look', 'touch', 'measure', 'coat', 'extra', 'wait', 'remark']

/** Whether an entry can be entered anew: nothing else in the log names it, and it names no other. */
export const canBeMoved = (event: BenchEvent, events: readonly BenchEvent[]): boolean =>
  MOVABLE.includes(event.kind) && !events.some(one => one.kind !== 'undo' && one.id !== event.id && names(one, event.id))

/** Whether an entry speaks of another: of a defect, or of a step that it put into the plan. */
function names({ payload }: BenchEvent, id: string): boolean {
  return Object.values(payload).some(value => typeof value === 'string' && (value === id || value.endsWith(`.${id}`)))
}

/** An entry at another time: taken back, and entered anew. `at` is ISO 8601. */
export function atAnotherTime({ pen, events }: Logged, event: BenchEvent, at: string): PutRight {
  if (!canBeMoved(event, events)) return { cannot: event, why: 'named' }
  return { takeBack: [{ pen, entries: [event.id] }], anew: [{ pen, entry: asEntry(event), barrels: event.barrels, at }] }
}

/**
 * Entries that were made on the wrong pen: taken back there, and entered on the other at their times. What they say of a step is said of
 * the step that was next on the other pen by then, if it is the same work with the same things.
 */
export function onAnotherPen(from: Logged, to: Logged, events: readonly BenchEvent[]): PutRight {
  const moved = move(from, events, to, to.events)
  return 'cannot' in moved ? moved : { takeBack: [{ pen: from.pen, entries: events.map(event => event.id) }], anew: moved.anew }
}

/** Two pens that were taken for one another since a moment (ISO 8601): what was entered on each is entered on the other. */
export function swapped(one: Logged, other: Logged, since: string): PutRight {
  const [ofOne, ofOther] = [inForceSince(one, since), inForceSince(other, since)]
  const there = move(one, ofOne, other, other.events.filter(event => !ofOther.includes(event)))
  if ('cannot' in there) return there
  const here = move(other, ofOther, one, one.events.filter(event => !ofOne.includes(event)))
  if ('cannot' in here) return here
  const takeBack = [{ pen: one.pen, entries: ofOne.map(event => event.id) }, { pen: other.pen, entries: ofOther.map(event => event.id) }]
  return { takeBack: takeBack.filter(some => some.entries.length), anew: [...there.anew, ...here.anew] }
}

/** What is in force of a pen since a moment, undos left out. */
function inForceSince({ plan, events }: Logged, since: string): BenchEvent[] {
  const held = replay(plan, events).log.filter(row => row.inForce && row.event.kind !== 'undo' && row.event.at >= since)
  const ids = new Set(held.map(row => row.event.id))
  return inOrder(events).flatMap(event => (ids.has(event.id) ? events.filter(one => one.id === event.id).slice(0, 1) : []))
}

function move(
  from: Logged, entries: readonly BenchEvent[], to: Logged, known: readonly BenchEvent[],
): { anew: Anew[] } | Extract<PutRight, { cannot: BenchEvent }> {
  const anew: Anew[] = []
  let log = inOrder(known)
  for (const event of inOrder(entries)) {
    if (!canBeMoved(event, from.events)) return { cannot: event, why: 'named' }
    const before = replay(to.plan, log.filter(one => one.at < event.at))
    const said = stepOf(event)
    const step = said === undefined ? undefined : replay(from.plan, from.events).plan.steps.find(one => one.id === said)
    const next = before.next
    const own = to.plan.inputs.fitting.barrels.map(one => one.id)
    const barrels = event.barrels.every(id => own.includes(id)) ? event.barrels : own
    if (event.kind === 'measure' && !own.includes(event.payload.barrel)) return { cannot: event, why: 'other barrel' }
    const settles = event.kind === 'done' || event.kind === 'skip' || event.kind === 'begin'
    if (said !== undefined && !next) return { cannot: event, why: 'no such step' }
    if (settles && !(step && next && isSameWork(step, from.plan, next, to.plan))) return { cannot: event, why: 'no such step' }
    const entry = withStep(asEntry(event), next?.id ?? null)
    anew.push({ pen: to.pen, entry, barrels, at: event.at })
    log = [...log, { ...event, ...entry, pen: to.pen, barrels } as BenchEvent]
  }
  return { anew }
}

/** The step that an entry is about; undefined for one that is about none. */
const stepOf = ({ payload }: BenchEvent): string | undefined => ('step' in payload && payload.step !== null ? payload.step : undefined)

/** The same work with the same things in hand; of what is done on one pen alone: of the same kind. */
function isSameWork(step: Step, plan: Plan, other: Step, its: Plan): boolean {
  if (step.kind !== other.kind) return false
  if (isGrit(step) && isGrit(other)) return abrasiveName(step.abrasive) === abrasiveName(other.abrasive)
  return operationOf(step, plan.inputs)?.key === operationOf(other, its.inputs)?.key
}

const withStep = (entry: Entry, step: string | null): Entry =>
  ('step' in entry.payload ? { ...entry, payload: { ...entry.payload, ...(entry.payload.step === null ? {} : { step }) } } : entry) as Entry

const asEntry = ({ kind, payload }: BenchEvent): Entry => ({ kind, payload }) as Entry
