import { given, worked, type Figure } from '../figures'
import type { Climate } from './air'

/**
 * How a product sets, which says what slows it: moisture of the air (CA), its solvent going off (lacquer, shellac), air and warmth (oil),
 * or warmth alone (epoxy, wax).
 */
export const setsBys = ['moisture', 'solvent', 'oil', 'warmth'] as const
/** One of them. */
export type SetsBy = (typeof setsBys)[number]

/** How many times as fast it sets for 10 °C more [model]. */
const PER_TEN: Record<SetsBy, number> = { moisture: 1.4, solvent: 1.8, oil: 1.8, warmth: 2 }
/** The air that base waits are for: °C, and the humidity below which CA waits longer, %. */
const BASE = { celsius: 21, humidity: 50 }

/** What of a wait moves it, besides the air. */
export interface WaitWays {
  /** How the product sets. */
  setsBy: SetsBy
  /** Whether accelerator was used: dry air then slows it less. */
  accelerated?: boolean
  /** Whether the figure stands on the label of the bottle, which no reckoning of ours may shorten. */
  label?: boolean
  /** The turner's own factor on it, once coats were touched while they waited. */
  own?: number
  /** Whether it is held before it is handed over: warmth never shortens that below a day. */
  held?: boolean
}

/** A day, s: what a finish is left before it is handed over, however warm it is [trade]. */
const HOLD = 86_400

/**
 * How long to wait in this air, in s: base · f(temperature) · f(humidity). `base` is the wait at 21 °C and 50 to 65 %; a label's figure
 * only grows by this, never shrinks. Temperature is held within 0 to 45 °C and humidity within 5 to 100 %, beyond which nobody should
 * be finishing.
 */
export function waitIn(climate: Climate, base: Figure, label: string, ways: WaitWays): Figure {
  const factors = factorsOf(climate, ways)
  const moved = base.value * product(factors)
  const least = ways.label ? base.value : ways.held ? Math.min(base.value, HOLD) : 0
  const note = ways.label
    ? 'the label’s figure, longer where it is cold or dry, never shorter'
    : ways.held
      ? 'base wait × temperature × humidity, but no shorter than it or a day'
      : 'base wait × temperature × humidity'
  return worked(label, Math.max(least, moved), 's', note, [base, ...factors])
}

/** The latest moment for what must not be put off, in s: it moves with the wait, and so is never before it. */
export function latestIn(climate: Climate, base: Figure, label: string, ways: WaitWays): Figure {
  const factors = factorsOf(climate, ways)
  const moved = base.value * product(factors)
  const all = [base, ...factors]
  return ways.label
    ? worked(label, Math.max(base.value, moved), 's', 'the label’s figure, later where it is cold or dry, as the wait is', all)
    : worked(label, moved, 's', 'base × temperature × humidity, as the wait before it', all)
}

const product = (factors: readonly Figure[]): number => factors.reduce((all, one) => all * one.value, 1)

const TOUCHED = { origin: 'measured' as const, note: 'learnt from what was tacky or hard when you touched it' }

const factorsOf = (climate: Climate, ways: WaitWays): Figure[] =>
  [...airFactors(climate, ways), ...(ways.own === undefined ? [] : [{ ...given('in your own shop', ways.own, '×'), ...TOUCHED }])]

function airFactors({ celsius, humidity }: Climate, { setsBy, accelerated = false }: WaitWays): Figure[] {
  const held = Math.min(45, Math.max(0, celsius))
  const damp = Math.min(100, Math.max(5, humidity))
  const warmth = PER_TEN[setsBy] ** ((BASE.celsius - held) / 10)
  const dry = setsBy === 'moisture' && damp < BASE.humidity ? BASE.humidity / damp : 1
  const temperature = worked('for the temperature', warmth, '×', '(× for 10 °C) to the power of (21 − °C) / 10', [
    given('for 10 °C less', PER_TEN[setsBy], '×', { mark: 'model', note: 'starting value' }),
    given('workshop temperature', held, '°C'),
  ])
  if (setsBy !== 'moisture') return [temperature]
  const note = accelerated ? '√(50 / humidity) below 50 %: accelerator does most of it' : '50 / humidity below 50 %: CA cures by moisture'
  return [temperature, worked('for the humidity', accelerated ? Math.sqrt(dry) : dry, '×', note, [given('workshop humidity', damp, '%')])]
}
