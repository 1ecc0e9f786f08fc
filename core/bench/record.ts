import type { AirReading } from '../climate'
import type { WaitPurpose } from '../shelf'
import type { Plan, PlanTrace, Step, StepId } from '../plan'
import { isSettling, isShared, partsTime } from './held'
import { isPause, secondsBetween } from './pause'
import { isDone, isSettled, waitOf, type BenchState, type SettledStep, type StepState } from './replay'
import { typedAfterwards } from './typed'

/** A wait as it was kept. */
export interface KeptWait {
  /** What it was for. */
  purpose: WaitPurpose
  /** When it began, ISO 8601. */
  from: string
  /** How long it had to be, s. */
  seconds: number
  /** How much earlier the next step was entered, s; 0 when it was kept in full. */
  shortBy: number
}

/** One step as it was worked. */
export interface RecordRow {
  /** What was to be done. */
  step: Step
  /** Done, left out, or open. */
  status: StepState['status']
  /** When it was settled, ISO 8601; null before. */
  at: string | null
  /** Hands-on time as planned, s. */
  planned: number
  /** Hands-on time, s; null while it is not done. */
  handsOn: number | null
  /**
   * Whether the time was measured between entries, put right by the turner, or is the planned one because there was a pause, it was typed
   * in after the work, or there is nothing to measure from.
   */
  timing: 'measured' | 'yours' | 'planned' | null
  /** What was measured but taken for a pause, s. */
  pause?: number
  /** The wait before it as it was kept; null without one. */
  wait: KeptWait | null
}

/** The record of one pen. */
export interface PenRecord {
  /** Step by step. */
  rows: RecordRow[]
  /** Hands-on time in all, s. */
  handsOn: number
  /** Coats that are on, and planned. */
  coats: BenchState['coats']
  /** Its defects. */
  defects: BenchState['defects']
  /** Its diameters. */
  measured: BenchState['measured']
  /** What was looked at in a step and how it was answered. */
  checks: { step: StepId, check: string, answer: 'yes' | 'no' }[]
  /** The plan as it was worked, repairs included. */
  plan: Plan
  /** When its first entry was made; null before. */
  began: string | null
  /** When its last step was settled; null before. */
  ended: string | null
}

/**
 * The record of one pen: each step with its time, the waits kept or cut short, coats, defects and the hands-on time in all. `traced` is
 * the trace of its plan with what was left out; `elsewhere` are the moments (in their order) at which steps of other pens were entered:
 * hands that were on those were not on this one.
 */
export function record(
  state: BenchState,
  traced: PlanTrace,
  air: readonly AirReading[] = [],
  elsewhere: readonly string[] = [],
): PenRecord {
  const entries = state.held.all.filter(event => event.kind !== 'undo')
  // The first entry of all starts the clock, whatever it is; “paper on” belongs to its grit, whose time goes on.
  const marks = entries.filter((event, index) => index === 0 || partsTime(event)).map(event => event.at)
  const typed = typedAfterwards(entries)
  const together = new Map(entries.filter(isShared).map(event => [event.id, event.payload.shared.seconds]))
  const plannedBy = byEntry(state.steps, traced)
  const rows = state.steps.map((one, index): RecordRow => {
    const planned = traced.steps[index]?.handsOn.value ?? 0
    const row = { step: one.step, status: one.status, at: isSettled(one) ? one.at : null, planned }
    if (!isDone(one)) return { ...row, handsOn: null, timing: null, wait: null }
    const all = plannedBy.get(one.entry) ?? planned
    const timing = typed.has(one.entry) ? { planned: all } : { planned: all, share: together.get(one.entry), marks, elsewhere }
    return { ...row, ...partOf(worked(state, one, timing, air), all > 0 ? planned / all : 1) }
  })
  // A pen that came back to be mended was made when it was made.
  const back = state.returns[0]?.at
  const settled = state.steps.filter(isSettled).map(one => one.at).filter(at => back === undefined || at <= back)
  return {
    rows,
    handsOn: rows.reduce((sum, row) => sum + (row.handsOn ?? 0), 60 * (state.made?.minutes ?? 0)),
    coats: state.coats,
    defects: state.defects,
    measured: state.measured,
    checks: [...state.checks].flatMap(([step, answers]) => [...answers].map(([check, answer]) => ({ step, check, answer }))),
    plan: state.plan,
    began: marks[0] ?? null,
    ended: state.finished ? settled.reduce((last, at) => (at > last ? at : last), '') : null,
  }
}

/** The time planned for the steps of each entry, s: pads that were run again are steps of their own, told of at once. */
function byEntry(steps: readonly StepState[], traced: PlanTrace): Map<string, number> {
  const sums = new Map<string, number>()
  steps.forEach((one, index) => {
    if (isDone(one)) sums.set(one.entry, (sums.get(one.entry) ?? 0) + (traced.steps[index]?.handsOn.value ?? 0))
  })
  return sums
}

/** Its part of the time of an entry; what the turner said himself stands. */
function partOf<T extends Pick<RecordRow, 'handsOn' | 'timing' | 'pause' | 'wait'>>(told: T, part: number): T {
  if (part === 1 || told.timing === 'yours' || told.handsOn === null) return told
  return { ...told, handsOn: told.handsOn * part, ...(told.pause === undefined ? {} : { pause: told.pause * part }) }
}

/** What the time of a step is told by. */
interface Timing {
  /** As planned, s. */
  planned: number
  /** Its part of what was done on several pens together, s. */
  share?: number | undefined
  /** Moments at which hands went from one thing to the next; absent where they measure nothing. */
  marks?: readonly string[]
  /** The same of other pens. */
  elsewhere?: readonly string[]
}

/** How a step that is done was worked: its time, and the wait before it. */
function worked(
  { plan, steps, times, held }: BenchState,
  one: SettledStep,
  { planned, share, marks, elsewhere }: Timing,
  air: readonly AirReading[],
): Pick<RecordRow, 'handsOn' | 'timing' | 'pause' | 'wait'> {
  const wait = waitOf(plan, one.step, { steps, air, touches: held.touches })
  const shortBy = wait && Math.max(0, secondsBetween(one.at, wait.until))
  const kept = wait ? { purpose: wait.purpose, from: wait.from, seconds: wait.length.value, shortBy: shortBy ?? 0 } : null
  const yours = times.get(one.step.id)
  if (yours != null) return { handsOn: yours, timing: 'yours', wait: kept }
  if (share !== undefined) return { ...judged(planned, share), wait: kept }
  // Moments that were typed in one after another measure nothing.
  const own = marks?.findLast(at => at < one.at)
  const other = elsewhere && lastBefore(elsewhere, one.at)
  return { ...timed(planned, own && other && other > own ? other : own, wait?.until, one.at), wait: kept }
}

/** The last of these moments before one; they stand in their order. */
function lastBefore(moments: readonly string[], at: string): string | undefined {
  let [low, high] = [0, moments.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((moments[middle] ?? '') < at) low = middle + 1
    else high = middle
  }
  return moments[low - 1]
}

/** Time from the entry before it, or from the end of its wait if that came later and was kept. */
function timed(
  planned: number,
  from: string | undefined,
  waitEnds: string | undefined,
  at: string,
): Pick<RecordRow, 'handsOn' | 'timing' | 'pause'> {
  if (!from) return { handsOn: planned, timing: 'planned' }
  return judged(planned, secondsBetween(waitEnds && waitEnds > from && waitEnds < at ? waitEnds : from, at))
}

/** A time that was measured, or a pause in the place of which the planned one is taken. */
const judged = (planned: number, seconds: number): Pick<RecordRow, 'handsOn' | 'timing' | 'pause'> =>
  isPause(seconds, planned)
    ? { handsOn: planned, timing: 'planned', pause: seconds - planned }
    : { handsOn: seconds, timing: 'measured' }

/**
 * How long a grit under way was sanded so far, s, when somebody looks at it: from the entry before it, less the changes and looks
 * (`overhead` s each). As planned where that cannot be told or there was a pause. 0 looks: nothing to tell.
 */
export function sandedSoFar({ held }: Pick<BenchState, 'held'>, step: StepId, planned: number, overhead: number): number {
  const looks = held.said.filter(event => event.kind === 'look' && event.payload.step === step)
  const [first, last] = [looks[0], looks.at(-1)]
  const before = first && held.steps.findLast(event => (event.kind === 'begin' || isSettling(event)) && event.at < first.at)
  if (!last || !before) return planned
  const seconds = secondsBetween(before.at, last.at) - looks.length * overhead
  return seconds > LEAST_SANDED && !isPause(seconds, planned) ? seconds : planned
}

/** Less than this is no sanding, s. */
const LEAST_SANDED = 2
