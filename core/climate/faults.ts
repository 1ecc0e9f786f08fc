import { decimal } from '../format'
import { dewPoint, type Climate } from './air'
import type { SetsBy } from './wait'

/** What this air would do to a finish, and what to do before its bottle is opened. */
export interface AirFault {
  /** What the air would do. */
  kind: 'bloom' | 'blush' | 'dew' | 'dry' | 'cold'
  /** The same in a sentence. */
  says: string
  /** What to do first. */
  remedy: string
}

/** Above this humidity CA may bloom white [trade], and above that a solvent finish may blush [trade], %. */
export const BLOOM_HUMIDITY = 65
export const BLUSH_HUMIDITY = 75
/** A surface this near to the dew point, °C, takes on water [trade]. */
export const DEW_MARGIN = 3
/** Below this humidity CA, which cures by moisture, sets slowly and may stay soft, % [model]. */
export const DRY_HUMIDITY = 40
/** Below this a film sets slowly and may stay soft or cloudy, °C [trade: most labels say 10 °C]. */
export const COLD = 10

/**
 * The faults that a finish which sets in this way would take in this air; none where the air suits it. The work is taken to be as warm
 * as the air.
 */
export function airFaults(climate: Climate, setsBy: SetsBy): AirFault[] {
  const { celsius, humidity } = climate
  const found: AirFault[] = []
  const margin = celsius - dewPoint(celsius, Math.min(100, Math.max(1, humidity)))
  const damp = `${decimal(humidity)} % humidity`
  if (setsBy === 'moisture' && humidity > BLOOM_HUMIDITY)
    found.push({ kind: 'bloom', says: `At ${damp} CA may bloom white.`, remedy: 'Warm or dry the air, or coat on a drier evening.' })
  if (setsBy === 'moisture' && humidity < DRY_HUMIDITY)
    found.push({
      kind: 'dry',
      says: `At ${damp} CA has little moisture to cure by: it sets slowly and may stay soft.`,
      remedy: 'Wait as long as is said, or damp the air a little.',
    })
  if (setsBy === 'solvent' && margin < DEW_MARGIN)
    found.push({
      kind: 'dew',
      says: `The air is ${decimal(margin, 1)} degrees from its dew point: water settles on the coat and it blushes.`,
      remedy: 'Warm the shop and the work before the bottle is opened.',
    })
  else if (setsBy === 'solvent' && humidity > BLUSH_HUMIDITY)
    found.push({ kind: 'blush', says: `At ${damp} a solvent finish may blush white.`, remedy: 'Dry the air, or wait for a drier evening.' })
  if (celsius < COLD)
    found.push({
      kind: 'cold',
      says: `At ${decimal(celsius)} °C a film sets slowly and may stay soft.`,
      remedy: 'Warm the shop, the work and the bottle first.',
    })
  return found
}

/** Air in which nothing should be put on: too cold or too hot for any label, or so damp that everything takes on water [trade]. */
const BEARS = { coldest: 5, hottest: 38, dampest: 90 }

/** Why no finish bears this air; undefined where some do. */
export function noFinishBears({ celsius, humidity }: Climate): string | undefined {
  if (celsius < BEARS.coldest) return `At ${decimal(celsius)} °C nothing sets as it should.`
  if (celsius > BEARS.hottest) return `At ${decimal(celsius)} °C every finish skins over before it is level.`
  return humidity > BEARS.dampest ? `At ${decimal(humidity)} % humidity every finish takes on water.` : undefined
}
