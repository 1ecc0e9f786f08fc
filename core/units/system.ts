import { decimal } from '../format'
import { formatLength, type LengthStyle } from './length'
import { toFahrenheit, toFeetPerMinute, toOunces, toPoundsForce } from './measure'

/** What a turner chose to read. Everything inside stays metric. */
export const unitSystems = ['metric', 'inch', 'inch64'] as const
/** One of them. */
export type UnitSystem = (typeof unitSystems)[number]

const lengthStyle: Record<UnitSystem, LengthStyle> = { metric: 'mm', inch: 'inch', inch64: 'inch64' }

/** Shows quantities in one turner's units; film and scratches stay in µm, which every chart of abrasives uses. */
export interface UnitWords {
  /** mm, with so many digits where they are millimetres. */
  length: (mm: number, digits?: number) => string
  /** °C. */
  temperature: (celsius: number) => string
  /** m/min. */
  speed: (metresPerMinute: number) => string
  /** N. */
  force: (newtons: number) => string
  /** g. */
  mass: (grams: number) => string
  /** The unit a bare number is taken to be in when it is typed. */
  bare: 'mm' | 'in'
  /** The same for temperatures. */
  bareTemperature: '°C' | '°F'
  /** The same for masses. */
  bareMass: 'g' | 'oz'
}

export function unitWords(system: UnitSystem): UnitWords {
  const metric = system === 'metric'
  return {
    length: (mm, digits) => formatLength(mm, lengthStyle[system], digits),
    temperature: celsius => (metric ? `${decimal(celsius, 1)} °C` : `${decimal(toFahrenheit(celsius))} °F`),
    speed: mPerMin => (metric ? `${decimal(mPerMin)} m/min` : `${decimal(toFeetPerMinute(mPerMin))} ft/min`),
    force: newtons => (metric ? `${decimal(newtons)} N` : `${decimal(toPoundsForce(newtons))} lbf`),
    mass: grams => (metric ? `${decimal(grams, 1)} g` : `${decimal(toOunces(grams), 2)} oz`),
    bareTemperature: metric ? '°C' : '°F',
    bareMass: metric ? 'g' : 'oz',
    bare: metric ? 'mm' : 'in',
  }
}
