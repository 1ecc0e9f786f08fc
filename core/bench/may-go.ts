import { airAt, type AirReading } from '../climate'
import { stepWaits, type StepId } from '../plan'
import type { Board } from './board'
import { isDone, leftOut } from './replay'

/** When a pen may be handed over at the earliest, and what holds it. */
export interface MayGo {
  /** ISO 8601; `now` itself where nothing holds it. */
  at: string
  /** Work that is left until then, s. */
  work: number
  /** The step before which it waits last, where a wait and not work holds it; absent where it does not wait. */
  before?: StepId
}

/**
 * When a pen may be handed over if it is worked straight through from this moment (ISO 8601): every open step takes its time, and waits
 * run from what was really done, or from when the step they count from will be done; those that are running already, in this air, with
 * what was told by a finger, count as they are. Null once nothing is left to do.
 */
export function mayGo({ state, traced }: Board, now: string, air: readonly AirReading[] = []): MayGo | null {
  const { plan, steps } = state
  const out = leftOut(steps)
  const climate = airAt(now, plan.inputs.climate, air)
  const doneAt = new Map(steps.filter(isDone).map(one => [one.step.id, Date.parse(one.at)]))
  const running = new Map(state.waits.map(wait => [wait.before, Date.parse(wait.until)]))
  let clock = Date.parse(now)
  let work = 0
  let before: StepId | undefined
  const open = traced.steps.filter((_, index) => steps[index]?.status === 'open')
  if (!open.length) return null
  for (const { step, handsOn } of open) {
    const ends = stepWaits(plan, step, climate, out).map(({ since, length }) => (doneAt.get(since) ?? clock) + length.value * 1000)
    const until = running.get(step.id) ?? Math.max(0, ...ends)
    if (until > clock) {
      clock = until
      before = step.id
    }
    // The last step is the handing over itself: it may be done from then on.
    if (step === open.at(-1)?.step) break
    clock += handsOn.value * 1000
    work += handsOn.value
    doneAt.set(step.id, clock)
  }
  return { at: new Date(clock).toISOString(), work, ...(before ? { before } : {}) }
}
