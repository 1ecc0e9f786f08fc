import { CellError } from './error'

/** In which order a sheet writes days: 24.12.2026, 12/24/2026. Days that begin with the year need no habit. */
export type DayOrder = 'day first' | 'month first'

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec']
/** Two figures of a year up to this are of this century [model]. */
const CENTURY = 79

/** What a cell says of a day, as yet without knowing which part is which. */
type Parts = { year: number, month: number, day: number } | { first: number, second: number, year: number }

/**
 * The day of a cell, `2026-12-24`. The year first, or day and month in the sheet’s order, with points (then the day comes first),
 * strokes or hyphens, or the month as a word; a time after it is passed over. @throws CellError
 */
export function dayIn(text: string, order: DayOrder): string {
  const parts = partsOf(text)
  if (!parts) throw new CellError(`“${text.trim()}” is not a day. Write it like 2026-12-24.`)
  const { year, month, day } = 'month' in parts
    ? parts
    : order === 'day first'
      ? { year: parts.year, month: parts.second, day: parts.first }
      : { year: parts.year, month: parts.first, day: parts.second }
  const iso = `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
  const known = new Date(`${iso}T00:00:00Z`)
  if (Number.isNaN(known.getTime()) || known.toISOString().slice(0, 10) !== iso) throw new CellError(`“${text.trim()}” is no day there is.`)
  if (year < 1900 || year > 2200) throw new CellError(`“${text.trim()}” lies too far away. Write the year in full.`)
  return iso
}

function partsOf(text: string): Parts | undefined {
  const typed = text.trim().replace(/[ T]\d{1,2}[:.]\d{2}.*$/, '')
  const figures = /^(\d{1,4})([-/.])(\d{1,2})\2(\d{1,4})$/.exec(typed)
  if (figures) {
    const [first = 0, second = 0, third = 0] = [figures[1], figures[3], figures[4]].map(Number)
    if (figures[1]?.length === 4) return { year: first, month: second, day: third }
    const year = yearOf(third, figures[4] ?? '')
    return year === undefined
      ? undefined
      : figures[2] === '.' ? { year, month: second, day: first } : { first, second, year }
  }
  const worded = /^(\d{1,2})[. -]+([a-z]{3,9})[., -]+(\d{2,4})$/i.exec(typed)
  const american = /^([a-z]{3,9})[. -]+(\d{1,2})[., -]+(\d{2,4})$/i.exec(typed)
  const [day, name, year] = worded ? worded.slice(1) : american ? [american[2], american[1], american[3]] : []
  const month = MONTHS.indexOf((name ?? '').slice(0, 3).toLowerCase()) + 1
  const whole = yearOf(Number(year), year ?? '')
  return month && whole !== undefined ? { year: whole, month, day: Number(day) } : undefined
}

function yearOf(value: number, text: string): number | undefined {
  if (text.length === 4) return value
  return text.length === 2 ? (value <= CENTURY ? 2000 : 1900) + value : undefined
}

/**
 * In which order these days are written, as far as they show it: one with 13 or more in a place cannot be of the other order. `isSure` is
 * false where none shows it, and where some contradict others.
 */
export function guessOrder(cells: Iterable<string>): { order: DayOrder, isSure: boolean, isOpen: boolean } {
  const shown = { 'day first': 0, 'month first': 0 }
  let open = 0
  for (const cell of cells) {
    const parts = partsOf(cell)
    if (!parts || 'month' in parts) continue
    open += 1
    if (parts.first > 12) shown['day first'] += 1
    if (parts.second > 12) shown['month first'] += 1
  }
  const order = shown['month first'] > shown['day first'] ? 'month first' : 'day first'
  return { order, isSure: (shown['day first'] > 0) !== (shown['month first'] > 0), isOpen: open > 0 }
}
