import { gateSince, type PlanTrace } from '../plan'
import type { Job, Piece } from './order'
import { leftOut, type BenchState } from './replay'

/** Waits longer than this end the evening's work on a pen, s. */
const TONIGHT = 2 * 3600

/** What is left to do on a pen tonight, at this moment (ISO 8601): up to its finish, or to a wait that outlasts the evening. Empty when such a wait is running. */
export function jobOf(pen: string, state: BenchState, { steps: traced }: PlanTrace, now: string): Job {
  const open = new Set(state.steps.filter(one => one.status === 'open').map(one => one.step.id))
  const seconds = (until: string) => (Date.parse(until) - Date.parse(now)) / 1000
  const pieces: Piece[] = []
  for (const { step, handsOn, wait } of traced) {
    if (!open.has(step.id)) continue
    const running = state.waits.find(one => one.before === step.id)
    // A wait counted from a step further back has partly run by then: only one from the piece right before is whole.
    const fromHere = wait && gateSince(state.plan, step, leftOut(state.steps)).some(since => open.has(since.id))
    const before = pieces.length === 0 && running ? Math.max(0, seconds(running.until)) : fromHere ? wait.length.value : 0
    if (before > TONIGHT) break
    const latest = pieces.length === 0 && running?.latest ? { latest: Math.max(0, seconds(running.latest)) } : fromHere && wait.latest ? { latest: wait.latest.value } : {}
    pieces.push({ wait: before, handsOn: Math.max(1, handsOn.value), ...latest })
  }
  return { pen, pieces }
}
