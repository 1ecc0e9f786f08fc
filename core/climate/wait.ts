import { given, worked, type Figure } from '../figures'
import type { Climate } from './air'

/**
 * How a product sets, which says what slows it: moisture of the air (CA), its solvent going off (lacquer, shellac, oil), or warmth
 * alone (epoxy).
 */
export type SetsBy = 'moisture' | 'solvent' | 'warmth'

const MODEL = { mark: 'model' as const, note: 'rate doubles per 10 °C about 21 °C' }
const DRY = { mark: 'model' as const, note: 'CA cures by moisture: below 50 % the wait grows as 50 / humidity' }

/** What a base wait is: one of ours, or one from the product's own label, which no reckoning of ours may shorten. */
export interface BaseOf {
  /** Whether the figure stands on the label of the bottle. */
  label?: boolean
}

/**
 * How long to wait in this air, in s: base · f(temperature) · f(humidity). `base` is the wait at 21 °C and 50 to 65 %; a label's figure
 * only grows by this, never shrinks. Temperature is held within 0 to 45 °C and humidity within 5 to 100 %, beyond which nobody should
 * be finishing.
 */
export function waitIn(climate: Climate, base: Figure, setsBy: SetsBy, label: string, { label: fromLabel = false }: BaseOf = {}): Figure {
  const warmth = warmthFactor(climate)
  const dryness = drynessFactor(climate, setsBy)
  const factor = fromLabel ? Math.max(1, warmth * dryness) : warmth * dryness
  const factors = [
    worked('for the temperature', warmth, '×', MODEL.note, [given('workshop temperature', climate.celsius, '°C')]),
    ...(setsBy === 'moisture'
      ? [worked('for the humidity', dryness, '×', DRY.note, [given('workshop humidity', climate.humidity, '%')])]
      : []),
  ]
  return worked(
    label,
    base.value * factor,
    's',
    fromLabel ? 'the label’s figure, longer where it is cold or dry, never shorter' : 'base wait × temperature × humidity',
    [base, ...factors],
  )
}

/** The latest moment for what must not be put off, in s: it comes sooner in the warmth, and never later than the base. */
export const latestIn = (climate: Climate, base: Figure, label: string): Figure =>
  worked(label, base.value * Math.min(1, warmthFactor(climate)), 's', 'base × temperature, never later than the base', [
    base,
    given('workshop temperature', climate.celsius, '°C'),
  ])

const warmthFactor = ({ celsius }: Climate): number => 2 ** ((21 - Math.min(45, Math.max(0, celsius))) / 10)

function drynessFactor({ humidity }: Climate, setsBy: SetsBy): number {
  const held = Math.min(100, Math.max(5, humidity))
  return setsBy === 'moisture' && held < 50 ? 50 / held : 1
}
