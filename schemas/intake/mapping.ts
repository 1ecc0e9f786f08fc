import { array, lazy, mixed, number, object, string, type AnySchema, type InferType, type ObjectShape } from 'yup'
import type { DayOrder, DecimalSign } from '../../core/intake'
import { exact, line, word } from '../common'
import { intakeNames } from './field'
import { MOST_BYTES, MOST_ROWS } from './sheet'

/** How a sheet is read: which column says what, and how it writes figures, days and names. */
export interface Mapping {
  /** The column’s number by the field’s name. */
  columns: Record<string, number>
  /** What a field is in all rows, as it would stand in a cell: where no column says it, or a cell is empty. */
  all: Record<string, string>
  /** How figures are written. */
  decimal: DecimalSign
  /** How days are written. */
  days: DayOrder
  /** What a word means that names nothing: the id by the word, as it is compared, field by field; empty: nothing, it is passed over. */
  words: Record<string, Record<string, string>>
  /** Cells that were put right, by the row’s number and the column’s: `7:2`. */
  cells: Record<string, string>
}

const FIELD = /^[a-zA-Z]{1,40}$/
const STRAY = 'Has names that are none of a sheet’s.'

/** Names of one form, each with a value of one form. */
const record = (name: RegExp, most: number, value: () => unknown) =>
  lazy((given: unknown): AnySchema => {
    const names = typeof given === 'object' && given !== null ? Object.keys(given) : []
    if (names.length > most || names.some(one => !name.test(one))) return mixed().test('names', STRAY, () => false)
    return object(Object.fromEntries(names.map(one => [one, value()])) as ObjectShape).strict().required()
  })
const cellText = () => line(4000).defined()
const column = () => number().integer().min(0).max(99).required()
const meanings = () => record(/^.{1,4000}$/su, MOST_ROWS, () => line(80).defined())

const mappingSchema = exact({
  columns: record(FIELD, 60, column),
  all: record(FIELD, 60, cellText),
  decimal: word('point', 'comma').required(),
  days: word('day first', 'month first').required(),
  words: record(FIELD, 60, meanings),
  cells: record(/^\d{1,6}:\d{1,2}$/, 2000, cellText),
})

/** A sheet that is to be taken in: its text as it was read, and how it is read. */
export const intakeSchema = exact({
  /** Made where it was chosen, so that taking it in twice is once. */
  id: line(36).matches(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/, 'Should be an id (UUID in lower case).').required(),
  name: word(...intakeNames).required(),
  text: string().required()
    .test('size', 'Is over 10 MB: take it in in parts.', value => (value?.length ?? 0) <= MOST_BYTES),
  mapping: mappingSchema,
  /** Rows that are left out, by their numbers in the sheet. */
  without: array(number().integer().min(1).max(1_000_000).required()).max(MOST_ROWS).required(),
})
/** The same as it comes in. */
export type NewIntake = Omit<InferType<typeof intakeSchema>, 'mapping'> & { mapping: Mapping }
