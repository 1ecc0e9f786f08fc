import type { Schema } from 'yup'
import { CellError, plainWord } from '../../core/intake'
import { errorsOf } from '../errors'
import { namesOf, readerOf, UnknownWordError, wordsIn } from './cell'
import type { Field, IntakeKind, IntakeKnown, Value, Values } from './field'
import type { Mapping } from './mapping'
import type { Sheet } from './sheet'

/** What is wrong with a row, and in which of its cells; no column where none says it. */
export interface RowFault {
  /** The field. */
  field: string
  /** The number of the column, or null. */
  column: number | null
  /** What is wrong, and what would do. */
  says: string
  /** A word in it names nothing known: said once what it means, it is right in every row. */
  isWord?: true
}

/** A row as it would come in. */
export interface JudgedRow {
  /** Its number in the sheet. */
  number: number
  /** What it says. */
  values: Values
  /** What is wrong with it; nothing where it can come in. */
  faults: RowFault[]
  /** What is to be kept of it. */
  wanted: object
}

const at = (row: number, column: number): string => `${row}:${column}`

/** The text of a cell as it was put right, or as it stands. */
const cellOf = ({ cells }: Mapping, row: Sheet['rows'][number], column: number): string =>
  (cells[at(row.number, column)] ?? row.cells[column] ?? '').trim()

/** What a field says in a row, as yet in the sheet’s words. */
function saidOf(field: Field, row: Sheet['rows'][number], mapping: Mapping): { text: string, column: number | null } {
  const column = mapping.columns[field.field]
  const own = column === undefined ? '' : cellOf(mapping, row, column)
  return own ? { text: own, column: column ?? null } : { text: mapping.all[field.field]?.trim() ?? '', column: column ?? null }
}

/** Every row of a sheet as it would come in, with what is wrong with it. */
export function judgeSheet(kind: IntakeKind, sheet: Sheet, mapping: Mapping, known: IntakeKnown): JudgedRow[] {
  const readers = kind.fields.map((field) => {
    const column = mapping.columns[field.field]
    return { field, read: readerOf(field, column === undefined ? '' : sheet.heads[column] ?? '', mapping, known) }
  })
  const judged = sheet.rows.map((row): JudgedRow => {
    const values: Record<string, Value | undefined> = {}
    const faults: RowFault[] = []
    for (const { field, read } of readers) {
      const { text, column } = saidOf(field, row, mapping)
      try {
        values[field.field] = text ? read(text) : undefined
        if (field.needed && values[field.field] === undefined) faults.push({ field: field.field, column, says: 'Is missing: fill it in.' })
      } catch (error) {
        if (!(error instanceof CellError)) throw error
        const isWord = error instanceof UnknownWordError
        faults.push({ field: field.field, column, says: error.message, ...(isWord ? { isWord } : {}) })
      }
    }
    const { value, schema } = kind.wanted(values, known)
    for (const [path, says] of Object.entries(errorsOf(schema as Schema, value))) {
      const field = kind.fieldOf?.(path) ?? path.split('.').at(-1) ?? path
      if (!faults.some(one => one.field === field)) faults.push({ field, column: mapping.columns[field] ?? null, says })
    }
    return { number: row.number, values, faults, wanted: value }
  })
  return kind.name === 'pens' ? withTwice(judged, mapping) : judged
}

/** Two pens in the making do not have one mark. */
function withTwice(rows: readonly JudgedRow[], mapping: Mapping): JudgedRow[] {
  const seen = new Map<string, number>()
  return rows.map((row) => {
    const mark = typeof row.values.mark === 'string' ? row.values.mark.toUpperCase() : undefined
    const before = mark === undefined ? undefined : seen.get(mark)
    if (mark !== undefined && before === undefined) seen.set(mark, row.number)
    if (before === undefined) return row
    const says = `${mark} is that of row ${before} already.`
    return { ...row, faults: [...row.faults, { field: 'mark', column: mapping.columns.mark ?? null, says }] }
  })
}

/** A word of a sheet that names nothing known, and in how many rows it stands. */
export interface UnknownWord {
  /** As it is compared. */
  word: string
  /** As it stands in the sheet. */
  text: string
  /** How many rows have it. */
  rows: number
}

/** Words that name nothing known, field by field, the most frequent first: also those of which it was said what they mean. */
export function unknownWords(kind: IntakeKind, sheet: Sheet, mapping: Mapping, known: IntakeKnown): Map<string, UnknownWord[]> {
  const found = new Map<string, UnknownWord[]>()
  for (const field of kind.fields) {
    if (!field.among) continue
    const byWord = namesOf(field.among(known))
    const unknown = new Map<string, UnknownWord>()
    for (const row of sheet.rows) {
      const { text } = saidOf(field, row, mapping)
      for (const one of wordsIn(field, text, byWord)) {
        const word = plainWord(one)
        if (!word || byWord.has(word)) continue
        const before = unknown.get(word)
        unknown.set(word, { word, text: before?.text ?? one, rows: (before?.rows ?? 0) + 1 })
      }
    }
    if (unknown.size) found.set(field.field, [...unknown.values()].sort((a, b) => b.rows - a.rows))
  }
  return found
}
