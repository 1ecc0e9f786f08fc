import { nth } from '../sure'
import { UnitError } from './error'
import { fromFahrenheit, fromFeetPerMinute, fromOunces, fromPoundsForce } from './measure'

/** What can be typed besides lengths. Inside: °C, m/min, N, g. */
export type Quantity = 'temperature' | 'speed' | 'force' | 'mass'

interface Spelling {
  units: Record<string, (value: number) => number>
  /** May it lie below 0? */
  below: boolean
  examples: string
}

const same = (value: number): number => value

const SPELLINGS: Record<Quantity, Spelling> = {
  temperature: {
    units: { '°c': same, 'c': same, '°f': fromFahrenheit, 'f': fromFahrenheit },
    below: true,
    examples: 'Write it like 18.5 °C or 65 °F.',
  },
  speed: { units: { 'm/min': same, 'ft/min': fromFeetPerMinute }, below: false, examples: 'Write it like 40 m/min or 130 ft/min.' },
  force: {
    units: { n: same, kn: value => value * 1000, lbf: fromPoundsForce },
    below: false,
    examples: 'Write it like 4500 N or 1010 lbf.',
  },
  mass: { units: { g: same, kg: value => value * 1000, oz: fromOunces }, below: false, examples: 'Write it like 42.6 g or 1.5 oz.' },
}

/**
 * The quantity somebody typed, in °C, m/min, N or g; a bare number is in the unit `bare`.
 * @throws UnitError saying what was not understood
 */
export function parseQuantity(quantity: Quantity, text: string, bare: string): number {
  const { units, below, examples } = SPELLINGS[quantity]
  const typed = text.trim()
  if (!typed) throw new UnitError(`Nothing given. ${examples}`)
  const parts = /^([-−+]?)(\d+(?:[.,]\d*)?|[.,]\d+)\s*(°?\s*[a-z/]*)\.?$/i.exec(typed)
  if (!parts) throw new UnitError(`“${typed}” is not one number with its unit. ${examples}`)
  const negative = parts[1] === '-' || parts[1] === '−'
  if (negative && !below) throw new UnitError(`“${typed}” is negative: it starts at 0. ${examples}`)
  const unit = (nth(parts, 3).replace(/\s/g, '') || bare).toLowerCase()
  const convert = units[unit]
  if (!convert) throw new UnitError(`The unit “${nth(parts, 3).trim()}” is not known here. ${examples}`)
  return convert(Number(nth(parts, 2).replace(',', '.')) * (negative ? -1 : 1))
}
