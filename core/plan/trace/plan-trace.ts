import type { Stick } from '../../barrel'
import type { Figure } from '../../figures'
import type { SandThrough } from '../../film'
import type { Step } from '../model'
import type { GritTrace } from './grit'
import type { Need } from './needs'
import type { Sized, SizedEnd } from './size'
import type { Stage } from './stage'
import type { StepWait } from './waits'

/** One step of a plan with all that follows from it. */
export interface StepTrace {
  /** What is to be done. */
  step: Step
  /** The blank and its film before it. */
  before: Stage
  /** The same after it. */
  after: Stage
  /** Time with hands on it, s. */
  handsOn: Figure
  /** Wait before it may begin; of several the one that ends last. */
  wait?: StepWait
  /** Of a levelling: the chance that it and the grits after it go through the film. */
  risk?: SandThrough
  /** When it begins, s from the first step, when the plan is worked straight through. */
  begins: number
  /** When it is done, s from the first step. */
  ends: number
  /** Of a step that sands: what it takes and leaves. */
  grit?: GritTrace
}

/** All that follows from a plan. */
export interface PlanTrace {
  /** Step by step. */
  steps: StepTrace[]
  /** The stick it is cut from. */
  stick: Stick
  /** Every barrel’s outline, walls, section, drilling and glue. */
  size: Sized
  /** Its ends, from the tip to the clip. */
  ends: SizedEnd[]
  /** Depth that sanding takes off the bare blank, µm. */
  sandingTakes: Figure
  /** Mean film once polished, µm. */
  filmLeft: Figure
  /** Film that is there at the thinnest place with 95 % certainty, µm. */
  filmThinnest: Figure
  /** What the coats take from the bottles. */
  needs: Need[]
  /** Time with hands on it, s, all steps together. */
  handsOn: Figure
  /** Time until it may be handed over, s, when worked straight through. */
  untilHandOver: Figure
}
