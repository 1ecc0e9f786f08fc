import { gateSince, type StepTrace } from '../../plan'
import type { Board } from '../board'
import type { Job, Piece } from './job'
import { secondsBetween } from '../pause'
import { leftOut } from '../replay'

/** Waits longer than this end the evening's work on a pen, s. */
const TONIGHT = 2 * 3600

/**
 * What is left to do on a pen tonight, at this moment (ISO 8601): up to its finish, or to a wait that outlasts the evening. Empty when
 * such a wait is running.
 */
export function jobOf(pen: string, board: Board, now: string): Job {
  const open = board.traced.steps.filter((_, index) => board.state.steps[index]?.status === 'open')
  const pieces = open.map((one, index) => pieceOf(board, one, index === 0, now))
  const ends = pieces.findIndex(piece => piece.wait > TONIGHT)
  return { pen, pieces: ends < 0 ? pieces : pieces.slice(0, ends) }
}

/** One open step as a piece of work. Of the first one the wait may be running already. */
function pieceOf({ state }: Board, { step, handsOn, wait }: StepTrace, isFirst: boolean, now: string): Piece {
  const work = Math.max(1, handsOn.value)
  const running = isFirst ? state.waits.find(one => one.before === step.id) : undefined
  if (running) {
    const { until, latest } = running
    return {
      wait: Math.max(0, secondsBetween(now, until)),
      handsOn: work,
      ...(latest ? { latest: Math.max(0, secondsBetween(now, latest)) } : {}),
    }
  }
  // A wait counted from a step further back has partly run by then: only one from the piece right before is whole.
  const isOpen = (id: string) => state.steps.some(one => one.step.id === id && one.status === 'open')
  const fromHere = wait && gateSince(state.plan, step, leftOut(state.steps)).some(since => isOpen(since.id))
  if (!fromHere) return { wait: 0, handsOn: work }
  return { wait: wait.length.value, handsOn: work, ...(wait.latest ? { latest: wait.latest.value } : {}) }
}
