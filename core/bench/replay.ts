import { airAt, waitEnds, type AirReading, type Climate } from '../climate'
import { worked, type Figure } from '../figures'
import type { WaitPurpose } from '../shelf'
import {
  endOfRepair,
  isExtraDone,
  isTouched,
  stepWaits,
  stripsAll,
  withBeforehand,
  withExtra,
  wipedOff,
  withRepairs,
  withReturned,
  type Beside,
  type DiameterReading,
  type MendId,
  type Plan,
  type Step,
  type StepId,
} from '../plan'
import { bookOf, defectState, type DefectState, type PlanEdit } from './course'
import { inOrder, type BenchEvent, type EventOf } from './event'
import { isReadable } from './readable'
import { heldOf, isSettling, type Held, type SettlingEntry } from './held'
import { madeBefore, type MadeBefore } from './made'
import { secondsBetween } from './pause'
import { takenBack, toPutBack } from './undo'
import { whereabouts, type Gone, type Return } from './whereabouts'

/** A step that nobody has settled yet. */
export interface OpenStep {
  /** What is to be done. */
  step: Step
  /** Not settled. */
  status: 'open'
}

/** A step that is done or left out. */
export interface SettledStep {
  /** What was to be done. */
  step: Step
  /** Which of the two. */
  status: 'done' | 'skipped'
  /** When, ISO 8601. */
  at: string
  /** By which entry. */
  entry: string
}

/** A step of the plan with what the log says of it. */
export type StepState = OpenStep | SettledStep

/** A wait that follows from a step that was done: `until` is when `before` may begin. */
export interface RunningWait {
  /** The step that was done. */
  since: StepId
  /** The one that waits for it. */
  before: StepId
  /** What must have happened meanwhile. */
  purpose: WaitPurpose
  /** When it began, ISO 8601. */
  from: string
  /** When it is over. */
  until: string
  /** By when the next step should have been done, where it must not be put off. */
  latest?: string
  /** How long it is, s. */
  length: Figure
}

/** Why a pen is not on the bench. */
export interface Away {
  /** Set aside for a while, given up, or never meant. */
  how: 'set aside' | 'given up' | 'mistake'
  /** In the turner's words; empty where nobody said. */
  why: string
  /** Since when, ISO 8601. */
  at: string
}

/** A step that was done before its wait was over, or after the latest time for it. */
export interface OffTime {
  /** Which. */
  step: StepId
  /** What the wait was for. */
  purpose: WaitPurpose
  /** Which of the two. */
  when: 'early' | 'late'
  /** By how much, s. */
  by: number
}

/** What the turner remarked, when, and at which step; null where none was under way. */
export interface Remarked {
  /** The entry. */
  id: string
  /** When, ISO 8601. */
  at: string
  /** In the turner's words. */
  text: string
  /** The step under way. */
  step: StepId | null
  /** A picture of the pen as it was then. */
  photo?: string
}

/** A diameter that was measured, and when. */
export type MeasuredDiameter = DiameterReading & { id: string, at: string }

/** One row of the log as the bench shows it. */
export interface LogEntry {
  /** What was entered. */
  event: BenchEvent
  /** False when it was taken back. */
  inForce: boolean
  /** The same step was entered before, perhaps on another device: it counts once. */
  repeated: boolean
}

/** What was looked at in each step, by the name of the check; the last answer counts. */
export type Answers = ReadonlyMap<StepId, ReadonlyMap<string, 'yes' | 'no'>>

/** Everything the bench shows of one pen; follows from the plan and the log alone. */
export interface BenchState {
  /** The plan with the repairs that were chosen at the bench. */
  plan: Plan
  /** Its steps, in their order. */
  steps: StepState[]
  /** Whether anything was entered at all. */
  begun: boolean
  /** Whether every step is settled. */
  finished: boolean
  /** First step still open; null when there is none. */
  next: Step | null
  /** Every wait that counts from a step done, for a step still open, in the order of those steps. */
  waits: RunningWait[]
  /** Steps done too early or too late, in their order. */
  offTime: OffTime[]
  /** Coats of the finish that is on now. */
  coats: { on: number, planned: number }
  /** Why it is not on the bench; null while it is. */
  away: Away | null
  /** What is known of it where it was made before its log was kept here; null: its log tells. */
  made: MadeBefore | null
  /** To whom it went; null while it is here. */
  gone: Gone | null
  /** Every time it went, the last one too. */
  leavings: Gone[]
  /** Every time it came back. */
  returns: Return[]
  /** Its defects, in the order they were noted. */
  defects: DefectState[]
  /** What was looked at. */
  checks: Answers
  /** Remarks, in the order they were made. */
  remarks: Remarked[]
  /** Diameters, in the order they were measured. */
  measured: MeasuredDiameter[]
  /** Hands-on times that were put right afterwards, by step, s; null: as measured after all. */
  times: ReadonlyMap<StepId, number | null>
  /** Entries of steps that this version of the plan no longer has. */
  offPlan: BenchEvent[]
  /** Entries that do not say what their kind must say: they count for nothing. */
  unreadable: BenchEvent[]
  /** What “take back” would take back: the latest entry in force with its repetitions. Empty when there is none. */
  takeBack: string[]
  /** The undo that “put back” would take back; null when nothing was taken back since the last entry, or all of it was put back. */
  putBack: string | null
  /** All entries in their order. */
  log: LogEntry[]
  /** Those in force. */
  held: Held
}

/**
 * The state of one pen from its plan, its log, and the air of the workshop as it was read since (in the order of time; the plan's own
 * air before the first). Any order and any repetition of the same events gives the same state.
 */
export function replay(planned: Plan, events: Iterable<BenchEvent>, air: readonly AirReading[] = []): BenchState {
  const readable: BenchEvent[] = []
  const unreadable: BenchEvent[] = []
  for (const event of events) (isReadable(event) ? readable : unreadable).push(event)
  const ordered = inOrder(readable)
  const back = takenBack(ordered)
  const held = heldOf(ordered.filter(event => !back.has(event.id)))
  const { courses, edits } = bookOf(held)
  const own = firstByStep(held)
  const base = withBeforehand(planned, besideOf(own))
  withUnlogged(own, base, held)
  const beside = besideOf(own)
  const plan = edits.reduce((now, edit) => edited(now, edit, beside), base)
  const settledBy = withExtras(own, held, plan)
  const steps = plan.steps.map((step): StepState => {
    const entry = settledBy.get(step.id)
    return entry ? { step, status: isLeftOut(entry) ? 'skipped' : 'done', at: entry.at, entry: entry.id } : { step, status: 'open' }
  })
  const made = madeBefore(held)
  const running: Running = { steps, air, touches: held.touches, longer: held.longer }
  const next = steps.find(state => state.status === 'open')?.step ?? null
  const known = new Set(plan.steps.map(step => step.id))

  return {
    plan,
    steps,
    begun: held.all.some(event => event.kind !== 'undo'),
    finished: next === null && steps.length > 0,
    next,
    waits: runningWaits(plan, running),
    offTime: steps.flatMap(state => offTime(plan, state, running) ?? []),
    coats: coatsOn(steps, made),
    away: awayNow(held),
    made,
    ...whereabouts(held),
    defects: [...courses.values()].map(course => defectState(course, key => endDone(plan, steps, key))),
    checks: answersIn(held),
    remarks: held.said.flatMap(({ id, at, kind, payload }) => (kind === 'remark' ? [{ id, at, ...payload }] : [])),
    measured: held.measured.map(event => ({ ...event.payload, id: event.id, at: event.at })),
    unreadable,
    offPlan: held.steps.filter(event => !known.has(event.payload.step)),
    takeBack: lastEntry(held),
    putBack: toPutBack(ordered),
    times: new Map(held.said.flatMap(event => (event.kind === 'time' ? [[event.payload.step, event.payload.seconds] as const] : []))),
    log: ordered.map(event => asRow(event, !back.has(event.id), settledBy)),
    held,
  }
}

function edited(plan: Plan, edit: PlanEdit, beside: Beside): Plan {
  if (edit.kind === 'return') return withReturned(plan, edit.key)
  return edit.kind === 'repair' ? withRepairs(plan, [edit.repair]) : withExtra(plan, edit.extra, beside)
}

/** An entry that settles a step of its own, or all of a pen that was made before. */
type OwnSettler = SettlingEntry | EventOf<'made'>
type Settlers = ReadonlyMap<StepId, OwnSettler | EventOf<'coat' | 'extra'>>

/** For every step its first entry that settles it: two devices that say “done” put one coat on. */
function firstByStep({ steps }: Held): Map<StepId, OwnSettler> {
  const first = new Map<StepId, OwnSettler>()
  for (const event of steps) if (isSettling(event) && !first.has(event.payload.step)) first.set(event.payload.step, event)
  return first
}

/** Of a pen that was made before its log was kept here every planned step that nothing else was entered of is over. */
function withUnlogged(own: Map<StepId, OwnSettler>, planned: Plan, { said }: Held): void {
  const made = said.findLast(event => event.kind === 'made')
  if (made?.kind !== 'made') return
  for (const { id } of planned.steps) if (!own.has(id)) own.set(id, made)
}

const isLeftOut = ({ kind }: BenchEvent): boolean => kind === 'skip' || kind === 'made'

/** What was done beside the plan settles its own steps, whatever else names them. */
function withExtras(own: ReadonlyMap<StepId, OwnSettler>, { said }: Held, plan: Plan): Settlers {
  const extras = said.filter(event => event.kind === 'coat' || event.kind === 'extra')
  if (!extras.length) return own
  const settlers = new Map<StepId, OwnSettler | EventOf<'coat' | 'extra'>>(own)
  for (const event of extras)
    for (const step of plan.steps) if (isExtraDone(step, event.id)) settlers.set(step.id, event)
  return settlers
}

/** Which steps are settled, and which of them left out. */
const besideOf = (own: ReadonlyMap<StepId, OwnSettler>): Beside => ({
  settled: new Set(own.keys()),
  leftOut: new Set([...own].flatMap(([step, event]) => (isLeftOut(event) ? [step] : []))),
})

const asRow = (event: BenchEvent, inForce: boolean, settledBy: Settlers): LogEntry => ({
  event,
  inForce,
  repeated: inForce && isSettling(event) && settledBy.get(event.payload.step)?.id !== event.id,
})

/** Whether a step is done. */
export const isDone = (state: StepState): state is SettledStep => state.status === 'done'
/** Whether a step was left out. */
export const isSkipped = (state: StepState): state is SettledStep => state.status === 'skipped'
/** Whether a step is done or left out. */
export const isSettled = (state: StepState): state is SettledStep => state.status !== 'open'

/** The steps that are done or left out, by their ids: what a new plan keeps. */
export const settledSteps = ({ steps }: Pick<BenchState, 'steps'>): Set<StepId> => new Set(steps.filter(isSettled).map(one => one.step.id))

/** The steps that were skipped, which the plan's figures pass over. */
export const leftOut = (steps: readonly StepState[]): Set<StepId> => new Set(steps.filter(isSkipped).map(state => state.step.id))

/** How a check of a step was answered; undefined when it was not. */
export const answerTo = ({ checks }: Pick<BenchState, 'checks'>, step: StepId, check: string): 'yes' | 'no' | undefined =>
  checks.get(step)?.get(check)

/**
 * The coats of the finish that is on now: since it was last sanded off, up to where it is to be sanded off; without those of a barrel
 * that catches up.
 */
export function standingNow(steps: readonly StepState[]): StepState[] {
  const since = steps.slice(steps.findLastIndex(one => stripsAll(one.step) && isDone(one)) + 1)
  const until = since.findIndex(one => stripsAll(one.step) && one.status === 'open')
  const off = wipedOff(steps.map(one => one.step))
  return (until < 0 ? since : since.slice(0, until)).filter(({ step }) => step.kind === 'coat' && !step.apart && !off.has(step.id))
}

function coatsOn(steps: readonly StepState[], made: MadeBefore | null): BenchState['coats'] {
  if (made) return { on: made.coats ?? 0, planned: made.coats ?? 0 }
  const coats = standingNow(steps)
  return { on: coats.filter(isDone).length, planned: coats.length }
}

/** When the last step of a mend was done, if it was. */
function endDone(plan: Plan, steps: readonly StepState[], key: MendId): string | undefined {
  const end = endOfRepair(plan, key)
  return end && steps.filter(isDone).find(one => one.step.id === end.id)?.at
}

/** What waits hang on, besides the plan. */
export interface Running {
  /** What was done. */
  steps: readonly StepState[]
  /** The air as it was read, in the order of time. */
  air: readonly AirReading[]
  /** Coats that were touched while they waited, in the order of time. */
  touches: Held['touches']
  /** Waits that the turner made longer. */
  longer?: Held['longer']
}

const runningWaits = (plan: Plan, running: Running): RunningWait[] =>
  running.steps.flatMap(({ step, status }) => (status === 'open' ? (waitOf(plan, step, running) ?? []) : []))

/**
 * The wait before a step, counted from what was really done and through the air as it was; of several the one that ends last. Absent
 * while a step it counts from is still open. What was hard under a finger waits no longer, and what was tacky goes on.
 */
export function waitOf(plan: Plan, step: Step, { steps, air, touches, longer }: Running): RunningWait | undefined {
  const out = leftOut(steps)
  const waits = stepWaits(plan, step, plan.inputs.climate, out).map((wait, index): RunningWait | undefined => {
    const since = steps.filter(isDone).find(state => state.step.id === wait.since)
    const inAir = (now: Climate) => stepWaits(plan, step, now, out)[index] ?? wait
    return since && step.gate
      ? runsFrom(since, { before: step.id, purpose: step.gate.purpose }, inAir, plan.inputs.climate, air)
      : undefined
  })
  const known = waits.flatMap(wait => wait ?? [])
  if (known.length < waits.length) return undefined
  const wait = known.reduce<RunningWait | undefined>((last, one) => (last && last.until >= one.until ? last : one), undefined)
  return wait && asWanted(asTouched(wait, touches), longer)
}

/** A wait that goes on because the turner wants it to: the last that was said since it began counts. */
function asWanted(wait: RunningWait, longer: Held['longer'] = []): RunningWait {
  const last = longer.findLast(one => one.payload.step === wait.before && one.at > wait.from)
  if (!last) return wait
  const until = new Date(Date.parse(last.at) + last.payload.seconds * 1000).toISOString()
  return until > wait.until ? { ...wait, until, ...(wait.latest && wait.latest < until ? { latest: until } : {}) } : wait
}

/** What is still tacky when it is touched waits on for this part of its wait, and so many s at least [model]. */
const TACKY = { part: 0.25, least: 30 }

/** A wait as it runs after a coat was touched: the last touch since it began counts. */
function asTouched(wait: RunningWait, touches: Held['touches']): RunningWait {
  const last = isTouched(wait.purpose) ? touches.findLast(one => one.payload.step === wait.before && one.at > wait.from) : undefined
  if (!last) return wait
  if (last.payload.felt === 'hard') return last.at < wait.until ? { ...wait, until: last.at } : wait
  const longer = Math.max(TACKY.least, TACKY.part * wait.length.value)
  const on = new Date(Date.parse(last.at) + longer * 1000).toISOString()
  const until = on > wait.until ? on : wait.until
  return { ...wait, until, ...(wait.latest && wait.latest < until ? { latest: until } : {}) }
}

/** A wait that runs from a step that is done, through the air as it was read since. */
function runsFrom(
  since: SettledStep,
  what: Pick<RunningWait, 'before' | 'purpose'>,
  inAir: (now: Climate) => { length: Figure, latest?: Figure },
  planned: Climate,
  air: readonly AirReading[],
): RunningWait {
  const from = Date.parse(since.at)
  const until = waitEnds(from, planned, air, now => inAir(now).length.value)
  const changes = air.filter(reading => reading.at > since.at && Date.parse(reading.at) < until)
  const { length, latest } = inAir(airAt(since.at, planned, air))
  const stretches = [length, ...changes.map(reading => inAir(reading).length)]
  const note = 'the air changed while it ran: each stretch as its air was'
  return {
    since: since.step.id,
    ...what,
    from: since.at,
    until: new Date(until).toISOString(),
    ...(latest ? { latest: new Date(from + latest.value * 1000).toISOString() } : {}),
    length: changes.length ? worked(length.label, (until - from) / 1000, 's', note, stretches) : length,
  }
}

/** Two entries this near to a wait's end count as kept, s: a finger is no clock. */
const NEAR = 1

function offTime(plan: Plan, state: StepState, running: Running): OffTime | undefined {
  // What was made longer by choice is not too early before it is over.
  const wait = isDone(state) && state.step.gate ? waitOf(plan, state.step, { ...running, longer: [] }) : undefined
  if (!wait || !isDone(state)) return undefined
  const off = { step: state.step.id, purpose: wait.purpose }
  const early = secondsBetween(state.at, wait.until)
  if (early > NEAR) return { ...off, when: 'early', by: early }
  const late = wait.latest ? secondsBetween(wait.latest, state.at) : 0
  return late > NEAR ? { ...off, when: 'late', by: late } : undefined
}

/** The last that was said of it counts. */
function awayNow({ said }: Held): Away | null {
  const last = said.findLast(event => event.kind === 'away')
  if (last?.kind !== 'away' || last.payload.how === 'back') return null
  return { how: last.payload.how, why: last.payload.why, at: last.at }
}

/** What was looked at; what was seen at a step before a mend came before it is looked at anew. */
function answersIn({ said }: Held): Answers {
  const found = new Map<StepId, Map<string, 'yes' | 'no'>>()
  for (const { kind, payload } of said) {
    if (kind === 'check') found.set(payload.step, new Map([...(found.get(payload.step) ?? []), [payload.check, payload.answer]]))
    if (kind === 'repair' && payload.step !== null) found.delete(payload.step)
  }
  return found
}

function lastEntry({ all, steps }: Held): string[] {
  // What a teacher has seen is not taken back by the pupil’s last key.
  const last = all.findLast(event => event.kind !== 'undo' && event.kind !== 'gate')
  if (!last) return []
  if (!isSettling(last)) return [last.id]
  return steps.filter(event => isSettling(event) && event.payload.step === last.payload.step).map(event => event.id)
}
