import type { BenchEvent, BenchState } from '../bench'
import type { StepKind } from '../plan'
import { AGREE, CLEAR, type ClassWork } from './work'

/** What stands between a pupil and the next step. */
export type Held
  /** Tools and cautions are not agreed to yet. */
  = | { what: 'agree' }
  /** The teacher has to look first; whether that was asked for, and since when (ISO 8601). */
    | { what: 'look', gate: StepKind, since: string | null }
  /** Everything is done, and not cleared up yet. */
    | { what: 'clear' }

/** How a pen of a class stands by its gates. */
export interface ClassStanding {
  /** What holds it; null: nothing does. */
  held: Held | null
  /** Steps that were done before the teacher had looked, by the kind of the gate, and when (ISO 8601). */
  early: { gate: StepKind, at: string }[]
  /** Looks that were taken, of how many that lie on its way. */
  looked: { taken: number, all: number }
}

type GateEntry = Extract<BenchEvent, { kind: 'gate' }>

/** The first entry in force of a gate that says this. */
const first = (entries: readonly GateEntry[], gate: string, how: GateEntry['payload']['how']): GateEntry | undefined =>
  entries.find(one => one.payload.gate === gate && one.payload.how === how)

/**
 * How a pen stands by the gates of its class. A look lies before the first step of its kind; agreeing before the first step after the
 * parts are checked; clearing up after the last step. What a teacher lets pass late stays early.
 */
export function classStanding({ steps, held, next }: Pick<BenchState, 'steps' | 'held' | 'next'>, work: ClassWork): ClassStanding {
  const entries = held.said.filter((event): event is GateEntry => event.kind === 'gate')
  const looks = work.looks.flatMap((gate) => {
    const at = steps.findIndex(one => one.step.kind === gate)
    return at < 0 ? [] : [{ gate, at, seen: first(entries, gate, 'seen') }]
  }).sort((a, b) => a.at - b.at)
  const early = looks.flatMap(({ gate, at, seen }) => {
    const done = steps[at]
    return done?.status === 'done' && done.at !== undefined && (!seen || done.at < seen.at) ? [{ gate, at: done.at }] : []
  })
  const now = next ? steps.findIndex(one => one.step.id === next.id) : steps.length
  return { held: heldNow(entries, { work, looks, now, isOver: next === null, kind: next?.kind }), early, looked: {
    taken: looks.filter(one => one.seen).length, all: looks.length,
  } }
}

interface Now {
  work: ClassWork
  looks: readonly { gate: StepKind, at: number, seen: GateEntry | undefined }[]
  now: number
  isOver: boolean
  kind: StepKind | undefined
}

function heldNow(entries: readonly GateEntry[], { work, looks, now, isOver, kind }: Now): Held | null {
  if (isOver) return work.clearing.length && !first(entries, CLEAR, 'agreed') ? { what: 'clear' } : null
  if (kind !== 'parts' && !first(entries, AGREE, 'agreed')) return { what: 'agree' }
  // What was begun too early is not looked at any more: the gate before the next step counts.
  const gate = looks.find(one => one.at === now && !one.seen)
  return gate ? { what: 'look', gate: gate.gate, since: first(entries, gate.gate, 'asked')?.at ?? null } : null
}
