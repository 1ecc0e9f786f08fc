import type { AirReading } from '../climate'
import type { WaitPurpose } from '../shelf'
import type { Plan, PlanTrace, Step, StepId } from '../plan'
import { isSettling, partsTime } from './held'
import { isPause, secondsBetween } from './pause'
import { isDone, isSettled, waitOf, type BenchState, type SettledStep, type StepState } from './replay'

/** A wait as it was kept. */
export interface KeptWait {
  /** What it was for. */
  purpose: WaitPurpose
  /** How long it was, s. */
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
   * Whether the time was measured between entries, put right by the turner, or is the planned one because there was a pause or nothing
   * to measure from.
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
  // The first entry of all starts the clock, whatever it is.
  const marks = entries.filter((event, index) => index === 0 || partsTime(event)).map(event => event.at)
  const rows = state.steps.map((one, index): RecordRow => {
    const planned = traced.steps[index]?.handsOn.value ?? 0
    const row = { step: one.step, status: one.status, at: isSettled(one) ? one.at : null, planned }
    return isDone(one)
      ? { ...row, ...worked(state, one, planned, marks, air, elsewhere) }
      : { ...row, handsOn: null, timing: null, wait: null }
  })
  const settled = state.steps.filter(isSettled).map(one => one.at)
  return {
    rows,
    handsOn: rows.reduce((sum, row) => sum + (row.handsOn ?? 0), 0),
    coats: state.coats,
    defects: state.defects,
    measured: state.measured,
    checks: [...state.checks].flatMap(([step, answers]) => [...answers].map(([check, answer]) => ({ step, check, answer }))),
    plan: state.plan,
    began: marks[0] ?? null,
    ended: state.finished ? settled.reduce((last, at) => (at > last ? at : last), '') : null,
  }
}

/** How a step that is done was worked: its time, and the wait before it. */
function worked(
  { plan, steps, times }: BenchState,
  one: SettledStep,
  planned: number,
  marks: readonly string[],
  air: readonly AirReading[],
  elsewhere: readonly string[],
): Pick<RecordRow, 'handsOn' | 'timing' | 'pause' | 'wait'> {
  const wait = waitOf(plan, one.step, steps, air)
  const kept = wait ? { purpose: wait.purpose, seconds: wait.length.value, shortBy: Math.max(0, secondsBetween(one.at, wait.until)) } : null
  const yours = times.get(one.step.id)
  if (yours != null) return { handsOn: yours, timing: 'yours', wait: kept }
  const own = marks.findLast(at => at < one.at)
  const other = lastBefore(elsewhere, one.at)
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
  const seconds = secondsBetween(waitEnds && waitEnds > from && waitEnds < at ? waitEnds : from, at)
  return isPause(seconds, planned)
    ? { handsOn: planned, timing: 'planned', pause: seconds - planned }
    : { handsOn: seconds, timing: 'measured' }
}

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
