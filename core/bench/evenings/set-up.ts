import type { SetUp } from '../../evening'
import type { PlanInputs, Step } from '../../plan'
import type { Board } from '../board'
import { secondsBetween } from '../pause'
import { isDone } from '../replay'
import { operationOf, type Saved } from '../together/operation'

/** What a change takes, s, by what is changed [model]: our own starting values. Of papers the piece itself is in the time of the grit. */
export const CHANGES: Readonly<Record<Saved, number>> = {
  'bit': 120, 'bushings': 60, 'glue': 60, 'paper': 10, 'bottle': 20, 'set-up': 60,
}

/** After so long it is another evening: what is set up by then is not known, s [model]. */
export const SAME_EVENING = 2 * 3600

/** What is set up at a moment (ISO 8601): what was needed last, on any pen; undefined where that was not this evening. */
export function standsSetUp(boards: readonly Board[], now: string): SetUp | undefined {
  let last = ''
  let stands: SetUp | undefined
  for (const { state } of boards) {
    for (const one of state.steps) {
      if (!isDone(one) || one.at <= last || one.at > now) continue
      const setUp = setUpOf(one.step, state.plan.inputs)
      if (setUp) [last, stands] = [one.at, setUp]
    }
  }
  return last && secondsBetween(last, now) <= SAME_EVENING ? stands : undefined
}

/** What has to be set up for a step: what it has in common with its like on other pens; null where it is done by itself. */
export function setUpOf(step: Step, inputs: PlanInputs): SetUp | null {
  const operation = operationOf(step, inputs)
  return operation && { kind: operation.saves, which: operation.key }
}
