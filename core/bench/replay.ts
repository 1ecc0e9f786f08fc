import { endOfRepair, extraCoatId, stepWaits, withExtraCoat, withRepairs, type DiameterReading, type Plan, type Step, type WaitPurpose } from '../plan'
import { airAt, waitEnds, type AirReading, type Climate } from '../climate'
import { worked, type Figure } from '../figures'
import { inOrder, type BenchEvent, type EventOf } from './event'
import { defectStates, editsOf, type DefectState } from './defects'
import { heldOf, isSettling, type Held, type SettlingEntry } from './held'
import { takenBack } from './undo'

export interface StepState {
  step: Step
  status: 'open' | 'done' | 'skipped'
  /** When it was done or skipped, and by which entry. */
  at?: string
  entry?: string
}

/** A wait that follows from a step that was done: `until` is when `before` may begin. */
export interface RunningWait {
  /** The step that was done, and the one that waits for it. */
  since: string
  before: string
  purpose: WaitPurpose
  from: string
  until: string
  /** By when the next step should have been done, where it must not be put off. */
  latest?: string
  length: Figure
}

/** A step that was done before its wait was over, or after the latest time for it; `by` in s. */
export interface OffTime {
  step: string
  purpose: WaitPurpose
  when: 'early' | 'late'
  by: number
}

/** A diameter that was measured, and when. */
export type MeasuredDiameter = DiameterReading & { id: string, at: string }

/** One row of the log as the bench shows it. */
export interface LogEntry {
  event: BenchEvent
  /** False when it was taken back. */
  inForce: boolean
  /** The same step was entered before, perhaps on another device: it counts once. */
  repeated: boolean
}

/** Everything the bench shows of one pen; follows from the plan and the log alone. */
export interface BenchState {
  /** The plan with the repairs that were chosen at the bench. */
  plan: Plan
  steps: StepState[]
  begun: boolean
  finished: boolean
  /** First step still open. */
  next: Step | null
  /** Every wait that counts from a step done, for a step still open, in the order of those steps. */
  waits: RunningWait[]
  /** Steps done too early or too late, in their order. */
  offTime: OffTime[]
  coats: { on: number, planned: number }
  defects: DefectState[]
  /** What was looked at, by step and check; the last answer counts. */
  checks: Map<string, 'yes' | 'no'>
  measured: MeasuredDiameter[]
  /** Hands-on times that were put right afterwards, by step, s; null: as measured after all. */
  times: Map<string, number | null>
  /** Entries of steps that this version of the plan no longer has. */
  offPlan: BenchEvent[]
  /** What “take back” would take back: the latest entry in force with its repetitions. Empty when there is none. */
  takeBack: string[]
  /** The undo that “put back” would take back: only when it is the latest entry of all that are in force. */
  putBack: string | null
  log: LogEntry[]
}

/**
 * The state of one pen from its plan, its log, and the air of the workshop as it was read since (in the order of time; the plan's own air before the first). Any order and any
 * repetition of the same events gives the same state.
 */
export function replay(planned: Plan, events: Iterable<BenchEvent>, air: readonly AirReading[] = []): BenchState {
  const ordered = inOrder(events)
  const back = takenBack(ordered)
  const held = heldOf(ordered.filter(event => !back.has(event.id)))
  const edits = editsOf(held)
  const plan = edits.reduce((now, edit) => edit.kind === 'repair' ? withRepairs(now, [edit.repair]) : withExtraCoat(now, edit.coat), planned)

  const settledBy = firstByStep(held)
  const steps = plan.steps.map((step): StepState => {
    const entry = settledBy.get(step.id)
    return entry ? { step, status: entry.kind === 'skip' ? 'skipped' : 'done', at: entry.at, entry: entry.id } : { step, status: 'open' }
  })
  const next = steps.find(state => state.status === 'open')?.step ?? null
  const known = new Set(plan.steps.map(step => step.id))
  const latest = held.all.at(-1)

  return {
    plan,
    steps,
    begun: held.all.some(event => event.kind !== 'undo'),
    finished: next === null && steps.length > 0,
    next,
    waits: runningWaits(plan, steps, air),
    offTime: steps.flatMap(state => offTime(plan, state, steps, air) ?? []),
    coats: coatsOn(steps),
    defects: defectStates(held, edits, key => endDone(plan, steps, key)),
    checks: answers(held),
    measured: held.measured.map(event => ({ ...event.payload, id: event.id, at: event.at })),
    offPlan: held.steps.filter(event => !known.has(event.payload.step)),
    takeBack: lastEntry(held),
    putBack: latest?.kind === 'undo' ? latest.id : null,
    times: new Map(held.said.flatMap(event => event.kind === 'time' ? [[event.payload.step, event.payload.seconds] as const] : [])),
    log: ordered.map((event) => {
      const inForce = !back.has(event.id)
      return { event, inForce, repeated: inForce && isSettling(event) && settledBy.get(event.payload.step)?.id !== event.id }
    }),
  }
}

/** For every step its first entry that settles it: two devices that say “done” put one coat on. A coat more than planned settles its own step. */
function firstByStep({ steps, said }: Held): Map<string, SettlingEntry | EventOf<'coat'>> {
  const first = new Map<string, SettlingEntry | EventOf<'coat'>>()
  for (const event of steps) if (isSettling(event) && !first.has(event.payload.step)) first.set(event.payload.step, event)
  for (const event of said) if (event.kind === 'coat') first.set(extraCoatId(event.id), event)
  return first
}

/** The coats of the finish that is on now: since it was last sanded off, up to where it is to be sanded off; without those of a barrel that catches up. */
export function standingNow(steps: readonly StepState[]): StepState[] {
  const strips = (one: StepState) => one.step.kind === 'sand back' && one.step.whole
  const since = steps.slice(steps.findLastIndex(one => strips(one) && one.status === 'done') + 1)
  const until = since.findIndex(one => strips(one) && one.status === 'open')
  return (until < 0 ? since : since.slice(0, until)).filter(({ step }) => step.kind === 'coat' && !step.apart)
}

function coatsOn(steps: readonly StepState[]): BenchState['coats'] {
  const coats = standingNow(steps)
  return { on: coats.filter(one => one.status === 'done').length, planned: coats.length }
}

/** When the last step of a mend was done, if it was. */
function endDone(plan: Plan, steps: readonly StepState[], key: string): string | undefined {
  const end = endOfRepair(plan, key)
  return end && steps.find(one => one.step.id === end.id && one.status === 'done')?.at
}

function runningWaits(plan: Plan, steps: readonly StepState[], air: readonly AirReading[]): RunningWait[] {
  return steps.flatMap(({ step, status }): RunningWait[] => {
    const wait = status === 'open' ? waitOf(plan, step, steps, air) : undefined
    return wait ? [wait] : []
  })
}

/** The wait before a step, counted from what was really done and through the air as it was; of several the one that ends last. Absent while a step it counts from is still open. */
export function waitOf(plan: Plan, step: Step, steps: readonly StepState[], air: readonly AirReading[] = []): RunningWait | undefined {
  const out = leftOut(steps)
  const planned = stepWaits(plan, step, plan.inputs.climate, out)
  const all = planned.map((wait, index): RunningWait | undefined => {
    const at = steps.find(state => state.step.id === wait.since && state.status === 'done')?.at
    if (!at) return undefined
    const from = Date.parse(at)
    const climate = airAt(at, plan.inputs.climate, air)
    const inAir = (now: Climate) => stepWaits(plan, step, now, out)[index]!
    const until = waitEnds(from, plan.inputs.climate, air, now => inAir(now).length.value)
    const changes = air.filter(reading => reading.at > at && Date.parse(reading.at) < until)
    const { length, latest } = inAir(climate)
    return {
      since: wait.since, before: step.id, purpose: step.gate!.purpose, from: at, until: new Date(until).toISOString(),
      ...(latest ? { latest: new Date(from + latest.value * 1000).toISOString() } : {}),
      length: changes.length ? worked(length.label, (until - from) / 1000, 's', 'the air changed while it ran: each stretch as its air was', [length, ...changes.map(reading => inAir(reading).length)]) : length,
    }
  })
  if (all.some(wait => !wait)) return undefined
  return all.reduce((last, wait) => last && last.until >= wait!.until ? last : wait, undefined)
}

/** Two entries this near to a wait's end count as kept, s: a finger is no clock. */
const NEAR = 1

function offTime(plan: Plan, { step, status, at }: StepState, steps: readonly StepState[], air: readonly AirReading[]): OffTime | undefined {
  const wait = status === 'done' && step.gate ? waitOf(plan, step, steps, air) : undefined
  if (!wait) return undefined
  const early = (Date.parse(wait.until) - Date.parse(at!)) / 1000
  const late = wait.latest ? (Date.parse(at!) - Date.parse(wait.latest)) / 1000 : 0
  if (early > NEAR) return { step: step.id, purpose: wait.purpose, when: 'early', by: early }
  return late > NEAR ? { step: step.id, purpose: wait.purpose, when: 'late', by: late } : undefined
}

/** The steps that were skipped, which the plan's figures pass over. */
export const leftOut = (steps: readonly StepState[]): Set<string> =>
  new Set(steps.filter(state => state.status === 'skipped').map(state => state.step.id))

/** The key of an answer in `checks`. */
export const checkKey = (step: string, check: string): string => `${step} ${check}`

/** What was looked at, the last answer of each; what was seen at a step before a mend came before it is looked at anew. */
function answers({ said }: Held): BenchState['checks'] {
  const found = new Map<string, 'yes' | 'no'>()
  for (const event of said) {
    if (event.kind === 'check') found.set(checkKey(event.payload.step, event.payload.check), event.payload.answer)
    if (event.kind !== 'repair') continue
    for (const key of found.keys()) if (key.startsWith(`${event.payload.step} `)) found.delete(key)
  }
  return found
}

function lastEntry({ all, steps }: Held): string[] {
  const last = all.findLast(event => event.kind !== 'undo')
  if (!last) return []
  if (!isSettling(last)) return [last.id]
  return steps.filter(event => isSettling(event) && event.payload.step === last.payload.step).map(event => event.id)
}
