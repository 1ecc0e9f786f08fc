import type { EveningPen, Work } from '../../evening'
import { gateSince, isGrit, type StepKind, type StepTrace } from '../../plan'
import type { Board } from '../board'
import { secondsBetween } from '../pause'
import { leftOut } from '../replay'
import { USUAL, type OwnPace } from './pace'
import { setUpOf } from './set-up'

/** What is known beside the pen itself. */
export interface OpenWorkOptions {
  /** The turner’s own pace, by the kind of step. */
  paces?: Readonly<Partial<Record<StepKind, OwnPace>>>
  /** When it is promised, ISO 8601. */
  due?: string
  /** How much that promise counts; 1 where not said. */
  weight?: number
}

/** Hands that mending something takes, s [model]: found, filled, sanded down again. */
const MEND = 900

/**
 * What is left to do on a pen from a moment (ISO 8601) on, up to the end: every open step is a piece of work that is done in one go, so
 * that work is cut where steps meet (coats, grits) and nowhere else. Waits that run already are over when they are; those counted from a
 * step that is still open begin when that ends. The last step, handing over, has the wait until the pen may go before it.
 */
export function openWork(pen: string, board: Board, now: string, { paces = {}, due, weight }: OpenWorkOptions = {}): EveningPen {
  const { state, traced } = board
  const open = traced.steps.filter((_, index) => state.steps[index]?.status === 'open')
  const out = leftOut(state.steps)
  const running = new Map(state.waits.map(wait => [wait.before, wait]))
  const work: Work[] = []
  for (const one of open) {
    const { step, handsOn } = one
    const { factor, spread, mends } = paces[step.kind] ?? USUAL
    const { wait, latest, from } = waitOf(board, one, open, work, running.get(step.id), now, out)
    work.push({
      step: step.id,
      // How long a grit takes is learnt by the model of sanding: that time is the turner’s own already.
      hands: Math.max(1, handsOn.value * (isGrit(step) ? 1 : factor)),
      wait,
      setUp: setUpOf(step, state.plan.inputs),
      spread,
      mend: { chance: mends, hands: MEND },
      ...(latest === undefined ? {} : { latest }),
      ...(from === undefined ? {} : { from }),
    })
  }
  return {
    id: pen,
    work,
    ...(due === undefined ? {} : { due: secondsBetween(now, due) }),
    ...(weight === undefined ? {} : { weight }),
  }
}

type RunsAlready = Board['state']['waits'][number]

/** The wait before a step, from the end of the open step before it; what runs already ends at its moment. */
function waitOf(
  { state: { plan } }: Board, { step, wait }: StepTrace, open: readonly StepTrace[], before: readonly Work[],
  running: RunsAlready | undefined, now: string, out: ReadonlySet<string>,
): Pick<Work, 'wait' | 'latest' | 'from'> {
  if (running) {
    const until = Math.max(0, secondsBetween(now, running.until))
    const latest = running.latest && Math.max(0, secondsBetween(now, running.latest))
    // Of the next one the wait counts from now; of a later one it is over at its moment, whatever is done before it.
    return before.length ? { wait: 0, from: until } : { wait: until, ...(latest === undefined ? {} : { latest: Number(latest) }) }
  }
  if (!wait) return { wait: 0 }
  const since = gateSince(plan, step, out).map(one => open.findIndex(other => other.step.id === one.id)).filter(at => at >= 0)
  const last = Math.max(-1, ...since.filter(at => at < before.length))
  if (last < 0) return { wait: 0 }
  // What lies between has run by then at the least: only what is left of the wait counts from the piece before.
  const between = before.slice(last + 1).reduce((sum, one) => sum + one.wait + one.hands, 0)
  return {
    wait: Math.max(0, wait.length.value - between),
    ...(wait.latest && last === before.length - 1 ? { latest: wait.latest.value } : {}),
  }
}
