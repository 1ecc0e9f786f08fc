import type { Defect, RepairWay } from '../defects'
import { coatCount, endOfRepair, stepWait, withRepairs, type ChosenRepair, type DiameterReading, type Plan, type Step, type WaitPurpose } from '../plan'
import type { Figure } from '../figures'
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
  length: Figure
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

/** The state of one pen from its plan and its log. Any order and any repetition of the same events gives the same state. */
export function replay(planned: Plan, events: Iterable<BenchEvent>): BenchState {
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
    waits: runningWaits(plan, steps),
    coats: { on: steps.filter(({ step, status }) => step.kind === 'coat' && status === 'done').length, planned: coatCount(plan) },
    defects: defectStates(held, plan, steps),
    checks: new Map(held.flatMap(event => event.kind === 'check' ? [[checkKey(event.payload.step, event.payload.check), event.payload.answer]] : [])),
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

function runningWaits(plan: Plan, steps: readonly StepState[]): RunningWait[] {
  return steps.flatMap(({ step, status }): RunningWait[] => {
    const wait = status === 'open' ? waitOf(plan, step, steps) : undefined
    return wait ? [wait] : []
  })
}

/** The wait before a step, counted from what was really done; absent while the step it counts from is still open. */
export function waitOf(plan: Plan, step: Step, steps: readonly StepState[]): RunningWait | undefined {
  const wait = stepWait(plan, step, leftOut(steps))
  const since = wait && steps.find(state => state.step.id === wait.since)
  if (!wait || !step.gate || since?.status !== 'done') return undefined
  const until = new Date(Date.parse(since.at!) + wait.length.value * 1000).toISOString()
  return { since: wait.since, before: step.id, purpose: step.gate.purpose, from: since.at!, until, length: wait.length }
}

/** The steps that were skipped, which the plan's figures pass over. */
export const leftOut = (steps: readonly StepState[]): Set<string> =>
  new Set(steps.filter(state => state.status === 'skipped').map(state => state.step.id))

/** The key of an answer in `checks`. */
export const checkKey = (step: string, check: string): string => `${step} ${check}`

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
