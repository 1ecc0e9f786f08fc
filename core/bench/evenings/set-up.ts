import type { SetUp } from '../../evening'
import type { PlanInputs, Step } from '../../plan'
import { operationOf, type Saved } from '../together/operation'

/** What a change takes, s, by what is changed [model]: our own starting values. Of papers the piece itself is in the time of the grit. */
export const CHANGES: Readonly<Record<Saved, number>> = {
  'bit': 120, 'bushings': 60, 'glue': 60, 'paper': 10, 'bottle': 20, 'set-up': 60,
}

/** What has to be set up for a step: what it has in common with its like on other pens; null where it is done by itself. */
export function setUpOf(step: Step, inputs: PlanInputs): SetUp | null {
  const operation = operationOf(step, inputs)
  return operation && { kind: operation.saves, which: operation.key }
}
