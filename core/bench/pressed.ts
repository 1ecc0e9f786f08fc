import { assemblyOf, type AssemblyPart } from '../barrel'
import type { EventOf, Pressing } from './event'
import type { BenchState } from './replay'

/** How a part stands in the press: not in yet, in, or tried. */
export type PartState = 'open' | 'in' | 'short' | 'right' | 'far'

/** One press, with what was read off and judged after it. */
export type Pressed = Omit<Pressing, 'step' | 'part'> & { id: string, at: string }

/** A part of the fitting as it goes on. */
export interface PressedPart extends AssemblyPart {
  /** How it stands. */
  state: PartState
  /** What was entered of it, in the order of the log. */
  presses: readonly Pressed[]
}

/** The parts of a pen in the order they go on, each as it stands since the pen was last put together anew. */
export function pressedParts({ plan, held, steps }: Pick<BenchState, 'plan' | 'held' | 'steps'>): PressedPart[] {
  // Driven apart, it begins anew.
  const apart = steps.reduce((last, one) => (
    one.status === 'done' && one.step.kind === 'fix' && one.step.how === 'take apart' && one.at > last ? one.at : last), '')
  const entered = held.said.filter((event): event is EventOf<'press'> => event.kind === 'press' && event.at > apart)
  return assemblyOf(plan.inputs.fitting).map((part) => {
    const presses = entered.filter(event => event.payload.part === part.name).map(({ id, at, payload: { step: _, part: __, ...press } }) =>
      ({ id, at, ...press }))
    return { ...part, presses, state: presses.at(-1)?.verdict ?? 'open' }
  })
}

/** Whether a part is where it belongs. */
export const isIn = ({ state }: PressedPart): boolean => state === 'in' || state === 'right'

/** How far short of its ring the mechanism of a pen was right, mm, and when; undefined where nobody said. */
export function pressTold(state: Pick<BenchState, 'plan' | 'held' | 'steps'>): { left: number, at: string } | undefined {
  const last = pressedParts(state).find(part => part.tries)?.presses.at(-1)
  return last?.verdict === 'right' && last.left !== null ? { left: last.left, at: last.at } : undefined
}
