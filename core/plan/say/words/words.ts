import type { UnitWords } from '../../../units'
import type { Plan, StepKind, StepOf } from '../../model'
import type { PlanTrace, StepTrace } from '../../trace'
import { assembly } from './assembly'
import { finishing } from './finish'
import { mending } from './mending'
import { preparation } from './preparation'
import { sanding } from './sanding'
import type { Scene, StepWords, Words, Writer, Writers } from './writer'

/** The words of every kind of step. */
const writers: Writers<StepKind> = { ...preparation, ...sanding, ...finishing, ...assembly, ...mending }

/** The words of one step, in the turner's units. */
export function stepWords(plan: Plan, traced: StepTrace, units: UnitWords, whole: PlanTrace): StepWords {
  const words = write(traced.step, { plan, traced, whole, units })
  return { work: words.title, ...words }
}

/** A step and its writer are of one kind, which the compiler cannot follow through a table. */
const write = <K extends StepKind>(step: StepOf<K>, scene: Scene): Words => (writers[step.kind] as Writer<K>)(step, scene)
