import type { Defect, RepairWay } from '../defects'
import { coatCount, endOfRepair, stepWaits, withRepairs, type ChosenRepair, type DiameterReading, type Plan, type Step, type WaitPurpose } from '../plan'
import { airAt, waitEnds, type AirReading, type Climate } from '../climate'
import { worked, type Figure } from '../figures'
import { inOrder, type BenchEvent, type EventOf } from './event'
import { inForce } from './undo'

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

export interface DefectState extends Defect {
  at: string
  /** The step under way when it was found. */
  step: string | null
  /** The way chosen to mend it before the ladder. */
  repair?: RepairWay
  settled?: { how: 'mended' | 'left', at: string }
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
  const holding = inForce(ordered)
  const held = ordered.filter(event => holding.has(event.id))
  const plan = withRepairs(planned, chosenRepairs(held))

  const settledBy = firstByStep(held)
  const steps = plan.steps.map((step): StepState => {
    const entry = settledBy.get(step.id)
    return entry ? { step, status: entry.kind === 'done' ? 'done' : 'skipped', at: entry.at, entry: entry.id } : { step, status: 'open' }
  })
  const next = steps.find(state => state.status === 'open')?.step ?? null
  const known = new Set(plan.steps.map(step => step.id))
  const latest = held.at(-1)

  return {
    plan,
    steps,
    begun: held.some(event => event.kind !== 'undo'),
    finished: next === null && steps.length > 0,
    next,
    waits: runningWaits(plan, steps, air),
    offTime: steps.flatMap(state => offTime(plan, state, steps, air) ?? []),
    coats: { on: steps.filter(({ step, status }) => step.kind === 'coat' && status === 'done').length, planned: coatCount(plan) },
    defects: defectStates(held, plan, steps),
    checks: answers(held),
    measured: held.flatMap(event => event.kind === 'measure' ? [{ ...event.payload, id: event.id, at: event.at }] : []),
    offPlan: held.filter(event => isStepEntry(event) && !known.has(event.payload.step)),
    takeBack: lastEntry(held),
    putBack: latest?.kind === 'undo' ? latest.id : null,
    log: ordered.map(event => ({ event, inForce: holding.has(event.id), repeated: isSettling(event) && settledBy.get(event.payload.step)?.id !== event.id && holding.has(event.id) })),
  }
}

type StepEntry = EventOf<'begin'> | EventOf<'done'> | EventOf<'skip'>
const isStepEntry = (event: BenchEvent): event is StepEntry => event.kind === 'begin' || isSettling(event)
const isSettling = (event: BenchEvent): event is EventOf<'done'> | EventOf<'skip'> => event.kind === 'done' || event.kind === 'skip'

/** For every step its first entry that settles it: two devices that say “done” put one coat on. */
function firstByStep(held: readonly BenchEvent[]): Map<string, EventOf<'done'> | EventOf<'skip'>> {
  const first = new Map<string, EventOf<'done'> | EventOf<'skip'>>()
  for (const event of held) if (isSettling(event) && !first.has(event.payload.step)) first.set(event.payload.step, event)
  return first
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

/** What was looked at, the last answer of each; what was seen at a levelling before its sand-through was covered is looked at anew. */
function answers(held: readonly BenchEvent[]): BenchState['checks'] {
  const found = new Map<string, 'yes' | 'no'>()
  for (const event of held) {
    if (event.kind === 'check') found.set(checkKey(event.payload.step, event.payload.check), event.payload.answer)
    if (event.kind !== 'repair' || event.payload.way !== 'more coats') continue
    for (const key of found.keys()) if (key.startsWith(`${event.payload.step} `)) found.delete(key)
  }
  return found
}

/** The repairs in force, the last choice for each defect. */
function chosenRepairs(held: readonly BenchEvent[]): ChosenRepair[] {
  const defects = new Map(held.flatMap(event => event.kind === 'defect' ? [[event.id, event.payload] as const] : []))
  const last = new Map<string, EventOf<'repair'>>()
  for (const event of held) if (event.kind === 'repair') last.set(event.payload.defect, event)
  return [...last.values()].flatMap(({ payload: { defect, way, step } }): ChosenRepair[] => {
    const found = defects.get(defect)
    return found ? [{ defect, way, step, kind: found.kind, barrel: found.barrel, fromTip: found.fromTip, size: found.size }] : []
  })
}

function defectStates(held: readonly BenchEvent[], plan: Plan, steps: readonly StepState[]): DefectState[] {
  const settled = new Map<string, EventOf<'settle'>>()
  for (const event of held) if (event.kind === 'settle') settled.set(event.payload.defect, event)
  const ways = new Map(chosenRepairs(held).map(repair => [repair.defect, repair.way]))
  return held.filter((event): event is EventOf<'defect'> => event.kind === 'defect').map(({ id, at, payload }): DefectState => {
    const end = settled.get(id)
    const last = endOfRepair(plan, id)
    const mended = last && steps.find(one => one.step.id === last.id && one.status === 'done')
    const way = ways.get(id)
    return {
      id, at, ...payload,
      ...(way ? { repair: way } : {}),
      ...(end ? { settled: { how: end.payload.how, at: end.at } } : mended ? { settled: { how: 'mended' as const, at: mended.at! } } : {}),
    }
  })
}

function lastEntry(held: readonly BenchEvent[]): string[] {
  const last = held.findLast(event => event.kind !== 'undo')
  if (!last) return []
  if (!isSettling(last)) return [last.id]
  return held.filter(event => isSettling(event) && event.payload.step === last.payload.step).map(event => event.id)
}
