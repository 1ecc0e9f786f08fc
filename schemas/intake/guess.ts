import { dayIn, guessColumns, guessDecimal, guessOrder, meantBy, numberIn, yesIn, CellError, type Sought } from '../../core/intake'
import { parseLength, UnitError } from '../../core/units'
import type { Field, FieldKind, IntakeKind, IntakeKnown, IntakeName } from './field'
import { unknownWords } from './judge'
import type { Mapping } from './mapping'
import type { Sheet } from './sheet'

/** How a sheet is most likely read, and what of it is not sure. */
interface Guess {
  /** How it is read. */
  mapping: Mapping
  /** Whether the order of day and month can be seen from its days, or none of them needs it. */
  areDaysSure: boolean
}

const runs = (read: () => unknown): boolean => {
  try {
    read()
    return true
  } catch (error) {
    if (error instanceof CellError || error instanceof UnitError) return false
    throw error
  }
}
const isFigure = (cell: string) => runs(() => numberIn(cell.replace(/[\p{L}\p{Sc}]/gu, ''), 'point')) || runs(() => numberIn(cell, 'comma'))
const isDay = (cell: string) => runs(() => dayIn(cell, 'day first')) || runs(() => dayIn(cell, 'month first'))
const FITS: Readonly<Record<FieldKind, (cell: string) => boolean>> = {
  'text': () => true,
  'number': isFigure,
  'money': isFigure,
  'length': cell => runs(() => parseLength(cell)),
  'day': isDay,
  'yes': cell => yesIn(cell) !== undefined,
  'one of': () => true,
  'some of': () => true,
}
const soughtOf = ({ fields }: IntakeKind): Sought[] => fields.map(({ field, heads, kind }) => ({ field, heads, fits: FITS[kind] }))

/** Cells of the columns that hold one kind of thing. */
function cellsOf(sheet: Sheet, columns: ReadonlyMap<string, number>, fields: readonly Field[], ...kinds: FieldKind[]): string[] {
  const wanted = fields.flatMap(({ field, kind }) => (kinds.includes(kind) ? [columns.get(field)] : []))
  return sheet.rows.flatMap(({ cells }) => wanted.flatMap(column => (column === undefined ? [] : [cells[column] ?? ''])))
}

/** How a sheet of a kind is most likely read. */
export function guessMapping(kind: IntakeKind, sheet: Sheet, known: IntakeKnown): Guess {
  const columns = guessColumns(sheet.heads, sheet.rows.map(row => row.cells), soughtOf(kind))
  const { order, isSure, isOpen } = guessOrder(cellsOf(sheet, columns, kind.fields, 'day'))
  const decimal = guessDecimal(cellsOf(sheet, columns, kind.fields, 'number', 'money', 'length')) ?? 'point'
  const mapping: Mapping = { columns: Object.fromEntries(columns), all: {}, decimal, days: order, words: {}, cells: {} }
  return { mapping: { ...mapping, words: guessWords(kind, sheet, mapping, known) }, areDaysSure: isSure || !isOpen }
}

/** What words that name nothing most likely mean. */
function guessWords(kind: IntakeKind, sheet: Sheet, mapping: Mapping, known: IntakeKnown): Mapping['words'] {
  const words: Mapping['words'] = {}
  for (const [field, unknown] of unknownWords(kind, sheet, mapping, known)) {
    const among = kind.fields.find(one => one.field === field)?.among?.(known) ?? []
    const meant = unknown.flatMap(({ word, text }) => {
      const one = meantBy(text, among)
      return one ? [[word, one.id] as const] : []
    })
    if (meant.length) words[field] = Object.fromEntries(meant)
  }
  return words
}

/** What a sheet most likely holds: of the kinds whose needed columns are there the one with most columns found. */
export function guessKind(kinds: readonly IntakeKind[], sheet: Sheet): IntakeName | undefined {
  const rows = sheet.rows.map(row => row.cells)
  const scored = kinds.map((kind) => {
    const found = guessColumns(sheet.heads, rows, soughtOf(kind))
    const missing = kind.fields.filter(one => one.needed && !found.has(one.field)).length
    return { name: kind.name, score: found.size - 2 * missing }
  })
  return scored.reduce<(typeof scored)[number] | undefined>((best, one) => (best && best.score >= one.score ? best : one), undefined)?.name
}
