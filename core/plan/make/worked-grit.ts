import { fewStrokes, workGrit, type WorkedGrit } from '../../sanding'
import type { GritStep, PlanInputs } from '../model'
import { gritRung } from './pass'

/** A thin coat is gone over lightly between coats for so long, s [model]: a few strokes, not until anything is gone. */
export const STROKES_SECONDS = 10

/** How a grit of the plan is worked on `depth` µm: until that is gone, or for a few strokes where a coat is only cut back. */
export function workedGrit(inputs: PlanInputs, step: GritStep, depth: number): WorkedGrit {
  const rung = gritRung(inputs, step)
  return step.kind === 'cut back' ? fewStrokes(rung, depth, STROKES_SECONDS) : workGrit(rung, depth, 0)
}
