import { stringify } from 'csv-stringify/sync'
import { boardOf, record, type DefectState, type PenRecord } from '../../core/bench'
import type { AirReading } from '../../core/climate'
import { stepWords, waitWords } from '../../core/plan'
import { unitWords } from '../../core/units'
import type { Pen, StoredEvent } from '../../contract'
import type { Plan } from '../../core/plan'

/** The record of a pen as it is saved: what `schemas/record.schema.json` describes. Times in UTC, spans in s, lengths in mm. */
export interface SavedRecord {
  format: 'oxlip-record'
  version: 1
  /** Whose record it is, and what it is made of. */
  pen: Pick<Pen, 'id' | 'mark' | 'name' | 'reason' | 'due'> & { fitting: string, material: string, method: string }
  /** When work began, ISO 8601; null: not yet. */
  began: string | null
  /** When the last step was done, ISO 8601; null: not yet. */
  ended: string | null
  /** Hands-on time in all, s. */
  handsOnSeconds: number
  /** Coats on, and planned. */
  coats: PenRecord['coats']
  /** Every step of the plan as it stands, in its order. */
  steps: {
    /** Its id in the plan. */
    step: string
    /** What was to be done. */
    title: string
    /** What became of it. */
    status: string
    /** When it was done, ISO 8601; null: not done. */
    at: string | null
    /** Hands-on time as planned, s. */
    plannedSeconds: number
    /** Hands-on time in all, s. */
    handsOnSeconds: number | null
    /** Where the time is from; null: none. */
    timing: 'measured' | 'yours' | 'planned' | null
    /** The wait before it, and by how much it was cut short, s; null: none. */
    wait: { for: string, seconds: number, shortBySeconds: number } | null
  }[]
  /** What went wrong, with causes and mends. */
  defects: SavedDefect[]
  /** Diameters as measured, mm, and what was looked at. */
  measured: PenRecord['measured']
  /** What was looked at, and what was said. */
  checks: PenRecord['checks']
  /** The plan as it stands, so that the record can be read without Oxlip. */
  plan: Plan
  /** Everything that was entered, in the order it happened. */
  entries: StoredEvent[]
}

/** A defect as it is saved: place, cause as judged, mends and outcome. */
export type SavedDefect = Pick<
  DefectState,
  'id' | 'kind' | 'barrel' | 'fromTip' | 'around' | 'size' | 'step' | 'at' | 'status' | 'mends' | 'settledAt' | 'photos'
> & { cause?: string, answers: Record<string, string> }

const savedDefect = ({ judged, answers, ...rest }: DefectState): SavedDefect => ({
  ...rest,
  answers: Object.fromEntries(answers),
  ...(judged ? { cause: judged } : {}),
})

const tenth = (seconds: number): number => Math.round(seconds * 10) / 10

export function savedRecord(
  pen: Pen,
  planned: Plan,
  events: StoredEvent[],
  air: readonly AirReading[] = [],
  elsewhere: readonly string[] = [],
): SavedRecord {
  const { state, traced } = boardOf(planned, events, air)
  const told = record(state, traced, air, elsewhere)
  const { plan } = told
  const titles = traced.steps.map(one => stepWords(plan, one, unitWords('metric'), traced).title)
  const { fitting, material, method } = plan.inputs
  return {
    format: 'oxlip-record',
    version: 1,
    pen: {
      id: pen.id,
      mark: pen.mark,
      name: pen.name,
      reason: pen.reason,
      due: pen.due,
      fitting: fitting.name,
      material: material.name,
      method: method.name,
    },
    began: told.began,
    ended: told.ended,
    handsOnSeconds: tenth(told.handsOn),
    coats: told.coats,
    steps: told.rows.map((row, index) => ({
      step: row.step.id,
      title: titles[index] ?? row.step.kind,
      status: row.status,
      at: row.at,
      plannedSeconds: tenth(row.planned),
      handsOnSeconds: row.handsOn === null ? null : tenth(row.handsOn),
      timing: row.timing,
      wait: row.wait
        ? { for: waitWords[row.wait.purpose], seconds: tenth(row.wait.seconds), shortBySeconds: tenth(row.wait.shortBy) }
        : null,
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
    mark: saved.pen.mark,
    pen: saved.pen.name,
    step: step.title,
    status: step.status,
    at_utc: step.at ?? '',
    planned_s: step.plannedSeconds,
    hands_on_s: step.handsOnSeconds ?? '',
    timing: step.timing ?? '',
    wait_for: step.wait?.for ?? '',
    wait_s: step.wait?.seconds ?? '',
    wait_cut_short_s: step.wait?.shortBySeconds ?? '',
    defects: saved.defects
      .filter(defect => defect.step === step.step)
      .map(defectText)
      .join('; '),
  }))
  return stringify(rows, { header: true, escape_formulas: true, record_delimiter: 'windows' })
}

const defectText = ({ kind, barrel, fromTip, size, cause, mends, status }: SavedDefect): string =>
  [
    kind,
    `${barrel} barrel`,
    `${fromTip} mm from the tip end`,
    `${size} mm`,
    ...(cause ? [`cause: ${cause}`] : []),
    ...(mends.length ? [mends.map(mend => mend.way + (mend.failed ? ' (failed)' : '')).join(', then ')] : []),
    status,
  ].join(', ')
