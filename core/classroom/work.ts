import type { StepKind } from '../plan'

/** What of a pen a pupil may change: what it is called, its shape and diameters, its wood. All else is the class’s. */
export const freedoms = ['name', 'size', 'wood'] as const
/** One of them. */
export type Freedom = (typeof freedoms)[number]

/** How a class works: the same for all its pens. */
export interface ClassWork {
  /** Before the first step of each of these kinds the teacher looks. */
  looks: readonly StepKind[]
  /** What each says yes to before the lathe, beside the cautions of the steps themselves. */
  cautions: readonly string[]
  /** What lies ready for all. */
  tools: readonly string[]
  /** What is cleared up at the end. */
  clearing: readonly string[]
  /** What pupils may change. */
  free: readonly Freedom[]
  /** What the teacher marks by. */
  criteria: readonly string[]
}

/** Gates that are none of a look: everything was agreed to; everything is cleared up. */
export const AGREE = 'cautions'
/** The same for the end. */
export const CLEAR = 'clearing'
