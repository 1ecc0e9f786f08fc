import { given, worked, type Figure } from '../figures'
import type { Climate } from './air'

/** How a product sets, which says what slows it: moisture of the air (CA) or warmth alone (epoxy). */
export type SetsBy = 'moisture' | 'warmth'

/** Above this humidity CA may bloom white [trade]. */
export const BLOOM_HUMIDITY = 65

const MODEL = { mark: 'model' as const, note: 'rate doubles per 10 °C about 21 °C' }
const DRY = { mark: 'model' as const, note: 'CA cures by moisture: below 50 % the wait grows as 50 / humidity' }

/**
 * How long to wait in this air, in s: base · f(temperature) · f(humidity). `base` is the wait at 21 °C and 50 to 65 %.
 * Temperature is held within 0 to 45 °C and humidity within 5 to 100 %, beyond which nobody should be finishing.
 */
export function waitIn(climate: Climate, base: Figure, setsBy: SetsBy, label: string): Figure {
  const celsius = Math.min(45, Math.max(0, climate.celsius))
  const humidity = Math.min(100, Math.max(5, climate.humidity))
  const warmth = 2 ** ((21 - celsius) / 10)
  const dryness = setsBy === 'moisture' && humidity < 50 ? 50 / humidity : 1
  const factors = [
    worked('for the temperature', warmth, '×', MODEL.note, [given('workshop temperature', climate.celsius, '°C')]),
    ...(setsBy === 'moisture' ? [worked('for the humidity', dryness, '×', DRY.note, [given('workshop humidity', climate.humidity, '%')])] : []),
  ]
  return worked(label, base.value * warmth * dryness, 's', 'base wait × temperature × humidity', [base, ...factors])
}
