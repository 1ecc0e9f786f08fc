import Papa from 'papaparse'

/** A file that cannot be read as a table, in words for whoever chose it. */
export class SheetError extends Error {
  override name = 'SheetError'
}

/** A table out of a file: its headings, and its rows with the number each has in the file. */
export interface Sheet {
  /** What stands over the columns. */
  heads: string[]
  /** The rows that are not empty; a row shorter than the headings ends in empty cells. */
  rows: { number: number, cells: string[] }[]
}

/** So many rows are taken in at once, from so many columns; so long is no cell, and so large no file, bytes. */
export const MOST_ROWS = 5000
const MOST_COLUMNS = 100
const LONGEST_CELL = 4000
export const MOST_BYTES = 10_000_000

const WORKBOOK = 'This is a workbook, not a table: save its sheet as CSV, then choose that.'
/** Every other byte is empty where Latin text is written with two bytes a letter. */
const MANY = 0.3

/**
 * The text of a file: UTF-8, UTF-16 with its mark or without, else the letters of Western Europe as older programs write them.
 * @throws SheetError for what is no text
 */
export function textOf(bytes: Uint8Array): string {
  if (bytes.length > MOST_BYTES) throw new SheetError('This file is over 10 MB. Take it in in parts.')
  const [first, second, third, fourth] = bytes
  if (first === 0x50 && second === 0x4B && (third ?? 0) < 9 && (fourth ?? 0) < 9) throw new SheetError(WORKBOOK)
  if (first === 0xD0 && second === 0xCF) throw new SheetError(WORKBOOK)
  if (first === 0xFF && second === 0xFE) return decoded(bytes, 'utf-16le')
  if (first === 0xFE && second === 0xFF) return decoded(bytes, 'utf-16be')
  const looked = bytes.subarray(0, 4000)
  const empty = [0, 1].map(side => looked.filter((byte, index) => byte === 0 && index % 2 === side).length / Math.max(1, looked.length / 2))
  if ((empty[1] ?? 0) > MANY && !empty[0]) return decoded(bytes, 'utf-16le')
  if ((empty[0] ?? 0) > MANY && !empty[1]) return decoded(bytes, 'utf-16be')
  try {
    return checked(new TextDecoder('utf-8', { fatal: true }).decode(bytes))
  } catch (error) {
    if (error instanceof SheetError) throw error
    return decoded(bytes, 'windows-1252')
  }
}

const decoded = (bytes: Uint8Array, encoding: string): string => checked(new TextDecoder(encoding).decode(bytes))

function checked(text: string): string {
  // eslint-disable-next-line no-control-regex
  if (/[\u0000-\u0008\u000e-\u001f]/.test(text)) throw new SheetError('This is no text. Choose a file of comma-separated values (CSV).')
  return text
}

const SEPARATORS = [',', ';', '\t', '|']
/** So many rows are looked at for their separator. */
const LOOKED_AT = 50

/** The sign that parts most cells of the first rows, into as many in each; of several the one that parts the headings most. */
function separatorOf(text: string): string {
  const tried = SEPARATORS.map((separator) => {
    const { data, errors } = Papa.parse<string[]>(text, { delimiter: separator, preview: LOOKED_AT, skipEmptyLines: true })
    const [head = 0, ...others] = data.map(cells => cells.length)
    const isEven = !errors.some(one => one.type === 'Quotes') && others.every(one => one === head)
    return { separator, score: head + (isEven && head > 1 ? 1000 : 0) }
  })
  return tried.reduce((best, one) => (one.score > best.score ? one : best)).separator
}

/** The table in a text of separated values, its separator found. @throws SheetError */
export function readSheet(text: string): Sheet {
  const plain = text.replace(/^\uFEFF/, '')
  const separator = separatorOf(plain)
  const { data, errors } = Papa.parse<string[]>(plain, { delimiter: separator, preview: MOST_ROWS + 200 })
  const open = errors.find(one => one.type === 'Quotes')
  if (open) throw new SheetError(`Row ${(open.row ?? 0) + 1} has a quotation mark that does not close. Put it right in the file.`)
  const filled = data.map((cells, index) => ({ number: index + 1, cells: cells.map(cell => cell.trim()) }))
    .filter(({ cells }) => cells.some(Boolean))
  const [head, ...rows] = filled
  if (!head) throw new SheetError('This file is empty.')
  if (head.cells.length > MOST_COLUMNS) throw new SheetError(`This has ${head.cells.length} columns; ${MOST_COLUMNS} are the most.`)
  if (!rows.length) throw new SheetError('There is one row only. The first row names the columns, the others are taken in.')
  if (rows.length > MOST_ROWS)
    throw new SheetError(`This has more than ${MOST_ROWS.toLocaleString('en')} rows, the most at once. Take it in in parts.`)
  const long = rows.find(({ cells }) => cells.some(cell => cell.length > LONGEST_CELL))
  if (long) throw new SheetError(`Row ${long.number} has a cell longer than anything Oxlip keeps: ${LONGEST_CELL} letters are the most.`)
  const wide = rows.find(({ cells }) => cells.slice(head.cells.length).some(Boolean))
  const sign = separator === '\t' ? 'a tab' : `“${separator}”`
  if (wide)
    throw new SheetError(
      `Row ${wide.number} has more cells than there are headings. A cell with ${sign} in it stands in quotation marks.`)
  const blank = Array.from({ length: head.cells.length }, () => '')
  return {
    heads: head.cells,
    rows: rows.map(({ number, cells }) => ({ number, cells: [...cells, ...blank].slice(0, head.cells.length) })),
  }
}
