import { formatLength, type LengthStyle } from './length'
import { toFahrenheit, toFeetPerMinute, toOunces, toPoundsForce } from './measure'

/** What a turner chose to read. Everything inside stays metric. */
export type UnitSystem = 'metric' | 'inch' | 'inch64'

const lengthStyle: Record<UnitSystem, LengthStyle> = { metric: 'mm', inch: 'inch', inch64: 'inch64' }

/** Shows quantities in one turner's units; film and scratches stay in µm, which every chart of abrasives uses. */
export interface UnitWords {
  length: (mm: number, digits?: number) => string
  temperature: (celsius: number) => string
  speed: (metresPerMinute: number) => string
  force: (newtons: number) => string
  mass: (grams: number) => string
  /** The unit a bare number is taken to be in when it is typed. */
  bare: 'mm' | 'in'
  /** The same for temperatures and masses. */
  bareTemperature: '°C' | '°F'
  bareMass: 'g' | 'oz'
}

export function unitWords(system: UnitSystem): UnitWords {
  const metric = system === 'metric'
  return {
    length: (mm, digits) => formatLength(mm, lengthStyle[system], digits),
    temperature: celsius => metric ? `${celsius.toFixed(1)} °C` : `${toFahrenheit(celsius).toFixed(0)} °F`,
    speed: mPerMin => metric ? `${mPerMin.toFixed(0)} m/min` : `${toFeetPerMinute(mPerMin).toFixed(0)} ft/min`,
    force: newtons => metric ? `${newtons.toFixed(0)} N` : `${toPoundsForce(newtons).toFixed(0)} lbf`,
    mass: grams => metric ? `${grams.toFixed(1)} g` : `${toOunces(grams).toFixed(2)} oz`,
    bareTemperature: metric ? '°C' : '°F',
    bareMass: metric ? 'g' : 'oz',
    bare: metric ? 'mm' : 'in',
  }
}
