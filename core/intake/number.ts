import { CellError } from './error'

/** How a sheet writes figures: 1.5 or 1,5. */
export type DecimalSign = 'point' | 'comma'

const GROUPED: Readonly<Record<DecimalSign, RegExp>> = {
  point: /^\d{1,3}(?:,\d{3})+(?:\.\d*)?$/,
  comma: /^\d{1,3}(?:\.\d{3})+(?:,\d*)?$/,
}
const PLAIN = /^\d+(?:[.,]\d*)?$|^[.,]\d+$/

/** Without spaces and apostrophes, with which some group figures, and without a sign before it. */
const bare = (text: string): string => text.replace(/[\s’'_]/gu, '').replace(/^\+/, '')

/**
 * The figure of a cell, 0 or more. A form that can be read in one way only is read so, whatever the sheet’s sign is: 1.5 is one and a
 * half also among figures with commas. @throws CellError
 */
export function numberIn(text: string, sign: DecimalSign): number {
  const typed = bare(text)
  if (/^[-−]/.test(typed)) throw new CellError(`“${text.trim()}” is below 0.`)
  if (GROUPED[sign].test(typed)) return plain(typed.replace(sign === 'point' ? /,/g : /\./g, ''))
  if (PLAIN.test(typed)) return plain(typed)
  const other = sign === 'point' ? 'comma' : 'point'
  // 1.234,5 among figures with points can be nothing else.
  if (GROUPED[other].test(typed) && /[.,].*[.,]/.test(typed)) return plain(typed.replace(other === 'point' ? /,/g : /\./g, ''))
  throw new CellError(`“${text.trim()}” is not one number.`)
}

const plain = (digits: string): number => Number(digits.replace(',', '.'))

/** Which sign a figure shows it was written with; undefined where it could be either. */
function signOf(text: string): DecimalSign | undefined {
  const typed = bare(text)
  const last = typed.search(/[.,]\d*$/)
  if (last < 0 || !/^[\d.,]+$/.test(typed)) return undefined
  const after = typed.length - last - 1
  const before = typed.slice(0, last)
  // 1,234 may be a thousand or a bit more than one; 1,2345 and 0,123 and 1.234,567 can not.
  if (after === 3 && !/[.,]/.test(before) && /^[1-9]\d{0,2}$/.test(before)) return undefined
  // 1,234,567 has groups only: its sign is the other one.
  if (typed.split(typed.charAt(last)).length > 2) return typed.charAt(last) === ',' ? 'point' : 'comma'
  return typed.charAt(last) === ',' ? 'comma' : 'point'
}

/** The sign that most figures among these show; null where none shows any. */
export function guessDecimal(cells: Iterable<string>): DecimalSign | null {
  const counts = { point: 0, comma: 0 }
  for (const cell of cells) {
    const sign = signOf(cell)
    if (sign) counts[sign] += 1
  }
  if (!counts.point && !counts.comma) return null
  return counts.comma > counts.point ? 'comma' : 'point'
}
