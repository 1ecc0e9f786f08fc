import type { AirReading } from '../../climate'
import { asUsual, diagnose, type Cause, type Diagnosis, type Evidence, type Finding, type ShopHistory } from '../../defects'
import type { Board } from '../board'
import type { DefectState } from '../course'
import type { PenRecord } from '../record'
import { airTells } from './air'
import { blankTells } from './blank'
import { caseOf } from './case'
import { coatsTell, levellingTells } from './coats'
import { gritsTell } from './grits'
import { waitsTell } from './waits'

/**
 * What a pen's own log and plan tell about the cause of a defect: only from what was done before it was found, in words with the
 * figures. What the log cannot know is not among them.
 */
export function findingsOf(defect: DefectState, board: Board, record: PenRecord, air: readonly AirReading[]): Finding[] {
  const about = caseOf(defect, board, record, air)
  return [
    ...waitsTell(about),
    ...gritsTell(about),
    ...airTells(about),
    ...coatsTell(about),
    ...levellingTells(about),
    ...blankTells(about),
  ]
}

/** What may have caused a defect, out of the log and what was answered; and the question to ask next. */
export function whyDefect(
  defect: DefectState, findings: readonly Finding[], causes: readonly Cause[], evidence: readonly Evidence[], shop: ShopHistory,
): Diagnosis {
  const answers = [...defect.answers].flatMap(([id, answer]): Finding[] => {
    const ask = evidence.find(one => one.id === id)?.ask
    if (!ask || answer === 'not known') return []
    return [{ evidence: id, holds: answer === 'yes', says: `${ask} ${answer === 'yes' ? 'Yes' : 'No'}`, from: 'answer' }]
  })
  const usual = asUsual(evidence, shop.usual)
  return diagnose(defect.kind, causes, usual, [...findings, ...answers], shop.causes, new Set(defect.answers.keys()))
}
