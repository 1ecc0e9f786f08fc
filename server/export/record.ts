import { stringify } from 'csv-stringify/sync'
import { record, type DefectState, type PenRecord } from '../../core/bench'
import type { AirReading } from '../../core/climate'
import { stepWords, trace, waitWords } from '../../core/plan'
import { unitWords } from '../../core/units'
import type { StoredEvent } from '../db/events'
import type { Pen } from '../db/pens'
import type { Plan } from '../../core/plan'

/** The record of a pen as it is saved: what `schemas/record.schema.json` describes. Times in UTC, spans in s, lengths in mm. */
export interface SavedRecord {
  format: 'oxlip-record'
  version: 1
  pen: Pick<Pen, 'id' | 'mark' | 'name' | 'reason' | 'due'> & { fitting: string, material: string, method: string }
  began: string | null
  ended: string | null
  handsOnSeconds: number
  coats: PenRecord['coats']
  steps: {
    step: string
    title: string
    status: string
    at: string | null
    plannedSeconds: number
    handsOnSeconds: number | null
    timing: 'measured' | 'yours' | 'planned' | null
    wait: { for: string, seconds: number, shortBySeconds: number } | null
  }[]
  defects: SavedDefect[]
  /** Diameters as measured, mm, and what was looked at. */
  measured: PenRecord['measured']
  checks: PenRecord['checks']
  plan: Plan
  entries: StoredEvent[]
}

/** A defect as it is saved: place, cause as judged, mends and outcome. */
export type SavedDefect = Pick<DefectState, 'id' | 'kind' | 'barrel' | 'fromTip' | 'around' | 'size' | 'step' | 'at' | 'status' | 'mends' | 'settledAt' | 'photos'> & { cause?: string, answers: Record<string, string> }

const savedDefect = ({ judged, answers, ...rest }: DefectState): SavedDefect => ({ ...rest, answers: Object.fromEntries(answers), ...(judged ? { cause: judged } : {}) })

const tenth = (seconds: number): number => Math.round(seconds * 10) / 10

export function savedRecord(pen: Pen, planned: Plan, events: StoredEvent[], air: readonly AirReading[] = [], elsewhere: readonly string[] = []): SavedRecord {
  const told = record(planned, events, air, elsewhere)
  const { plan } = told
  const words = trace(plan)
  const units = unitWords('metric')
  const { fitting, material, method } = plan.inputs
  return {
    format: 'oxlip-record',
    version: 1,
    pen: { id: pen.id, mark: pen.mark, name: pen.name, reason: pen.reason, due: pen.due, fitting: fitting.name, material: material.name, method: method.name },
    began: told.began,
    ended: told.ended,
    handsOnSeconds: tenth(told.handsOn),
    coats: told.coats,
    steps: told.rows.map((row, index) => ({
      step: row.step.id,
      title: stepWords(plan, words.steps[index]!, units, words).title,
      status: row.status,
      at: row.at,
      plannedSeconds: tenth(row.planned),
      handsOnSeconds: row.handsOn === null ? null : tenth(row.handsOn),
      timing: row.timing,
      wait: row.wait ? { for: waitWords[row.wait.purpose], seconds: tenth(row.wait.seconds), shortBySeconds: tenth(row.wait.shortBy) } : null,
    })),
    defects: told.defects.map(savedDefect),
    measured: told.measured,
    checks: told.checks,
    plan: planned,
    entries: events,
  }
}

/** The steps of a record as CSV (RFC 4180), a row each; what could be taken for a formula is kept from being one. */
export function recordCsv(saved: SavedRecord): string {
  const rows = saved.steps.map(step => ({
    mark: saved.pen.mark, pen: saved.pen.name, step: step.title, status: step.status, at_utc: step.at ?? '', planned_s: step.plannedSeconds,
    hands_on_s: step.handsOnSeconds ?? '', timing: step.timing ?? '', wait_for: step.wait?.for ?? '', wait_s: step.wait?.seconds ?? '',
    wait_cut_short_s: step.wait?.shortBySeconds ?? '', defects: saved.defects.filter(defect => defect.step === step.step).map(defectText).join('; '),
  }))
  return stringify(rows, { header: true, escape_formulas: true, record_delimiter: 'windows' })
}

const defectText = (defect: SavedDefect): string =>
  `${defect.kind}, ${defect.barrel} barrel, ${defect.fromTip} mm from the tip end, ${defect.size} mm${defect.cause ? `, cause: ${defect.cause}` : ''}${defect.mends.length ? `, ${defect.mends.map(mend => mend.way + (mend.failed ? ' (failed)' : '')).join(', then ')}` : ''}, ${defect.status}`
