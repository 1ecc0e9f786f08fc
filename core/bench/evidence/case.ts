import { coatPlaceOf, type CoatStep, type Plan, type Step } from '../../plan'
import type { AirReading } from '../../climate'
import type { Finding } from '../../defects'
import type { Board } from '../board'
import type { DefectState } from '../course'
import type { PenRecord } from '../record'
import { isDone, isSkipped, type SettledStep } from '../replay'

/** A coat that is on. */
export type CoatOn = SettledStep & { step: CoatStep }

/** A defect with all that was done on its barrel before it was found. */
export interface Case extends Board {
  /** What is asked about. */
  defect: DefectState
  /** The record of the pen. */
  record: PenRecord
  /** The air as it was read, in the order of time. */
  air: readonly AirReading[]
  /** Steps done on that barrel before. */
  done: readonly SettledStep[]
  /** Steps left out there. */
  skipped: readonly SettledStep[]
  /** The coats among those done. */
  coats: readonly CoatOn[]
}

/** Puts a case together. Steps of another barrel tell nothing of this one. */
export function caseOf(defect: DefectState, board: Board, record: PenRecord, air: readonly AirReading[]): Case {
  const concerns = ({ at, step }: SettledStep) => at <= defect.at && step.barrels.includes(defect.barrel)
  const done = board.state.steps.filter(isDone).filter(concerns)
  return {
    ...board,
    defect,
    record,
    air,
    done,
    skipped: board.state.steps.filter(isSkipped).filter(concerns),
    coats: done.filter((one): one is CoatOn => one.step.kind === 'coat'),
  }
}

/** What the log tells of one piece of evidence. */
export const tells = (evidence: string, holds: boolean, says: string): Finding => ({ evidence, holds, says, from: 'log' })

/** The same with words for either way. */
export const either = (evidence: string, holds: boolean, ifSo: string, ifNot: string): Finding =>
  tells(evidence, holds, holds ? ifSo : ifNot)

/** How a step is called in a finding. */
export function nameIn(plan: Plan, step: Step | undefined): string {
  if (step?.kind === 'coat') return `Coat ${coatPlaceOf(plan, step).number}`
  return step?.kind === 'level' ? 'Levelling' : 'It'
}

/** The one for which this is most; undefined of none. */
export const greatest = <T>(all: readonly T[], of: (one: T) => number): T | undefined =>
  all.reduce<T | undefined>((most, one) => (most !== undefined && of(most) >= of(one) ? most : one), undefined)
