import { nth } from '../sure'
import { decimal } from '../format'
import { UnitError } from './error'

/** How a length is shown: millimetres, decimal inches, or inches in 64ths. */
export type LengthStyle = 'mm' | 'inch' | 'inch64'

/** Exact by the international yard and pound agreement of 1959. */
const MM_PER_INCH = 25.4

const MM_PER_UNIT: Record<string, number> = {
  'mm': 1,
  'cm': 10,
  'm': 1000,
  'µm': 0.001,
  'um': 0.001,
  'in': MM_PER_INCH,
  'inch': MM_PER_INCH,
  'inches': MM_PER_INCH,
  '"': MM_PER_INCH,
  '″': MM_PER_INCH,
}

const EXAMPLES = 'Write it like 27 mm, 2.7 cm, 1 1/16 in or 0.4375".'

/**
 * The length somebody typed, in mm. Understands decimals with a point or a comma, fractions (`1 1/16`, `1-1/16 in`, `7/16"`)
 * and the units mm, cm, m, µm, in and ". A fraction without a unit is in inches; another bare number is in `bare`.
 * @throws UnitError saying what was not understood
 */
export function parseLength(text: string, bare: 'mm' | 'in' = 'mm'): number {
  const typed = text.trim()
  if (!typed) throw new UnitError(`No length given. ${EXAMPLES}`)
  if (/^[-−]/.test(typed)) throw new UnitError(`“${typed}” is negative: a length starts at 0. ${EXAMPLES}`)

  const parts = /^([\d.,\s/⁄-]+?)\s*([a-zµμ"″]*)\.?$/i.exec(typed)
  if (!parts) throw new UnitError(`“${typed}” is not a length. ${EXAMPLES}`)
  const number = nth(parts, 1).trim()
  const unit = nth(parts, 2).toLowerCase().replace('μ', 'µ')
  const isFraction = /[/⁄]/.test(number)
  const factor = MM_PER_UNIT[unit || (isFraction ? 'in' : bare)]
  if (factor === undefined) throw new UnitError(`The unit “${parts[2]}” is not known. ${EXAMPLES}`)
  return (isFraction ? parseFraction(number, typed) : parseDecimal(number, typed)) * factor
}

function parseDecimal(number: string, typed: string): number {
  if (!/^(\d+([.,]\d*)?|[.,]\d+)$/.test(number)) throw new UnitError(`“${typed}” is not one number. ${EXAMPLES}`)
  return Number(number.replace(',', '.'))
}

function parseFraction(number: string, typed: string): number {
  const parts = /^(?:(\d+)[\s-]+)?(\d+)\s*[/⁄]\s*(\d+)$/.exec(number)
  if (!parts) throw new UnitError(`“${typed}” is not a fraction. ${EXAMPLES}`)
  const [whole, over, under] = [Number(parts[1] ?? 0), Number(parts[2]), Number(parts[3])]
  if (under === 0) throw new UnitError(`“${typed}” divides by nothing. ${EXAMPLES}`)
  return whole + over / under
}

/** A length in mm as text in the chosen style. 64ths carry what they leave out when it is half a thousandth of an inch or more. */
export function formatLength(mm: number, style: LengthStyle, digits = 2): string {
  if (style === 'mm') return `${decimal(mm, digits)} mm`
  const inches = mm / MM_PER_INCH
  return style === 'inch' ? `${decimal(inches, 3)} in` : formatSixtyFourths(inches)
}

function formatSixtyFourths(inches: number): string {
  const sixtyFourths = Math.round(Math.abs(inches) * 64)
  const sign = inches < 0 && sixtyFourths > 0 ? '−' : ''
  const whole = Math.floor(sixtyFourths / 64)
  let [over, under] = [sixtyFourths % 64, 64]
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2]
  const fraction = over ? `${over}/${under}` : ''
  const shown = [whole || !fraction ? String(whole) : '', fraction].filter(Boolean).join(' ')
  const error = Math.abs(inches) - sixtyFourths / 64
  const said = Math.abs(error) >= 0.0005 ? ` ${error > 0 ? '+' : '−'} ${decimal(Math.abs(error), 3)}` : ''
  return `${sign}${shown}${said} in`
}
