import { stringify } from 'csv-stringify/sync'
import type { CsvDialect } from '../../contract'
import type { TableRow } from '../db/tables'

/** How programs take CSV: with commas between cells and a point in figures, or with semicolons and a comma in figures. */
const DIALECTS = {
  point: { delimiter: ',', decimal: '.', mark: '' },
  comma: { delimiter: ';', decimal: ',', mark: '\uFEFF' },
} as const

/**
 * Rows as CSV (RFC 4180, or with semicolons): the names of the columns first where `begins`. What could be taken for a formula is kept from
 * being one; with semicolons the file says that it is UTF-8, as programs that take these want it.
 */
export function csvOf(rows: readonly TableRow[], columns: readonly string[], dialect: CsvDialect, begins = true): string {
  const { delimiter, decimal, mark } = DIALECTS[dialect]
  const cells = rows.map(row => columns.map(column => row[column] ?? ''))
  const told = stringify([...begins ? [[...columns]] : [], ...cells], {
    delimiter, escape_formulas: true, record_delimiter: 'windows', cast: { number: figure => String(figure).replace('.', decimal) },
  })
  return `${begins ? mark : ''}${told}`
}
