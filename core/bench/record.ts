import type { AirReading } from '../climate'
import type { Plan, Step, WaitPurpose } from '../plan'
import { trace } from '../plan'
import { inOrder, type BenchEvent } from './event'
import { leftOut, replay, waitOf, type BenchState, type StepState } from './replay'
import { takenBack } from './undo'

/** A wait as it was kept: `shortBy` is how much earlier the next step was entered, in s; 0 when it was kept in full. */
export interface KeptWait {
  purpose: WaitPurpose
  seconds: number
  shortBy: number
}

export interface RecordRow {
  step: Step
  status: StepState['status']
  at: string | null
  planned: number
  /** Hands-on time, s. */
  handsOn: number | null
  /** Whether the time was measured between entries, put right by the turner, or is the planned one because there was a pause or nothing to measure from. */
  timing: 'measured' | 'yours' | 'planned' | null
  /** What was measured but taken for a pause, s. */
  pause?: number
  wait: KeptWait | null
}

export interface PenRecord {
  rows: RecordRow[]
  handsOn: number
  coats: BenchState['coats']
  defects: BenchState['defects']
  measured: BenchState['measured']
  /** What was looked at in a step and how it was answered. */
  checks: { step: string, check: string, answer: 'yes' | 'no' }[]
  /** The plan as it was worked, repairs included. */
  plan: Plan
  began: string | null
  ended: string | null
}

/** A gap this many times the planned time, and at least ten minutes over it, is a pause [model]. */
const PAUSE = { times: 5, over: 600 }

/**
 * The record of one pen: each step with its time, the waits kept or cut short, coats, defects and the hands-on time in all. `elsewhere` are the moments (in their order) at which steps of other pens were entered: hands
 * that were on those were not on this one.
 */
export function record(planned: Plan, events: Iterable<BenchEvent>, air: readonly AirReading[] = [], elsewhere: readonly string[] = []): PenRecord {
  const log = inOrder(events)
  const state = replay(planned, log, air)
  const { plan } = state
  const back = takenBack(log)
  // Noting and mending a defect counts to the step that is under way, so only steps part the time.
  // The first entry of all starts the clock, whatever it is.
  const held = log.filter(event => !back.has(event.id) && event.kind !== 'undo')
  const marks = held.filter((event, index) => index === 0 || ['begin', 'done', 'skip', 'coat'].includes(event.kind)).map(event => event.at)
  const traced = trace(plan, leftOut(state.steps)).steps

  const rows = state.steps.map((one, index): RecordRow => {
    const expected = traced[index]!.handsOn.value
    const wait = one.status === 'done' ? waitOf(plan, one.step, state.steps, air) : undefined
    const row = { step: one.step, status: one.status, at: one.at ?? null, planned: expected }
    if (one.status !== 'done') return { ...row, handsOn: null, timing: null, wait: null }
    const kept: KeptWait | null = wait
      ? { purpose: wait.purpose, seconds: wait.length.value, shortBy: Math.max(0, (Date.parse(wait.until) - Date.parse(one.at!)) / 1000) }
      : null
    const own = marks.findLast(at => at < one.at!)
    const other = lastBefore(elsewhere, one.at!)
    const from = own && other && other > own ? other : own
    const yours = state.times.get(one.step.id)
    return { ...row, wait: kept, ...(yours == null ? timed(expected, from, wait?.until, one.at!) : { handsOn: yours, timing: 'yours' as const }) }
  })
  return {
    rows,
    handsOn: rows.reduce((sum, row) => sum + (row.handsOn ?? 0), 0),
    coats: state.coats,
    defects: state.defects,
    measured: state.measured,
    checks: [...state.checks].map(([key, answer]) => ({ step: key.slice(0, key.lastIndexOf(' ')), check: key.slice(key.lastIndexOf(' ') + 1), answer })),
    plan,
    began: marks[0] ?? null,
    ended: state.finished ? state.steps.reduce((last, one) => one.at! > last ? one.at! : last, '') : null,
  }
}

/** The last of these moments before one; they stand in their order. */
function lastBefore(moments: readonly string[], at: string): string | undefined {
  let [low, high] = [0, moments.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (moments[middle]! < at) low = middle + 1
    else high = middle
  }
  return moments[low - 1]
}

/** Time from the entry before it, or from the end of its wait if that came later and was kept. */
function timed(planned: number, from: string | undefined, waitEnds: string | undefined, at: string): Pick<RecordRow, 'handsOn' | 'timing' | 'pause'> {
  if (!from) return { handsOn: planned, timing: 'planned' }
  const start = waitEnds && waitEnds > from && waitEnds < at ? waitEnds : from
  const seconds = (Date.parse(at) - Date.parse(start)) / 1000
  return seconds > Math.max(planned * PAUSE.times, planned + PAUSE.over) ? { handsOn: planned, timing: 'planned', pause: seconds - planned } : { handsOn: seconds, timing: 'measured' }
}
