import type { UnitWords } from '../../../units'
import type { Plan, StepKind, StepOf } from '../../model'
import type { PlanTrace, StepTrace } from '../../trace'

/** What to do, how, and why, in the words of the workshop. */
export interface StepWords {
  /** Short, for lists and headings: “Thin CA, coat 3”. */
  title: string
  /** The piece of work without which time it is: “Thin CA”; where it stands for itself it is the title. */
  work: string
  /** How it is done, in one line. */
  how: string
  /** Why it is there, in one line. */
  why: string
  /** What the key says that ends it: “Coat 3 is on”. */
  done: string
}

/** All that the words of a step may speak of. */
export interface Scene {
  /** The plan it stands in. */
  plan: Plan
  /** What follows from it for this step. */
  traced: StepTrace
  /** What follows from the plan as a whole. */
  whole: PlanTrace
  /** The turner's units. */
  units: UnitWords
}

/** Words that have not said yet what the piece of work is called: its title. */
export type Words = Omit<StepWords, 'work'> & Partial<Pick<StepWords, 'work'>>

/** Writes the words of a kind of step. */
export type Writer<K extends StepKind> = (step: StepOf<K>, scene: Scene) => Words
/** The writers of some kinds of steps. */
export type Writers<K extends StepKind> = { [Kind in K]: Writer<Kind> }
