import { airAt, BLOOM_HUMIDITY, BLUSH_HUMIDITY, COLD, DEW_MARGIN, dewPoint, DRY_HUMIDITY, type Climate } from '../../climate'
import type { Finding } from '../../defects'
import { decimal, within } from '../../format'
import { either, greatest, nameIn, type Case } from './case'

/** So near to the cold in which films stay soft it counts, °C. */
const NEARLY_COLD = 2

/** How far this air is from its dew point, °C. */
const margin = ({ celsius, humidity }: Climate): number => celsius - dewPoint(celsius, Math.min(100, Math.max(1, humidity)))

/** The air at each coat: how damp, how near to its dew point, how cold; nothing before the first. */
export function airTells({ state: { plan }, coats, air }: Case): Finding[] {
  const each = coats.map(({ step, at }) => ({ name: nameIn(plan, step), ...airAt(at, plan.inputs.climate, air) }))
  const [dampest, driest, nearest, coldest] = [
    greatest(each, one => one.humidity),
    greatest(each, one => -one.humidity),
    greatest(each, one => -margin(one)),
    greatest(each, one => -one.celsius),
  ]
  if (!dampest || !driest || !nearest || !coldest) return []
  const [damp, off, cold] = [`${decimal(dampest.humidity)} %`, `${decimal(margin(nearest), 1)} degrees`, `${decimal(coldest.celsius)} °C`]
  const near = margin(nearest) < DEW_MARGIN || nearest.humidity > BLUSH_HUMIDITY
  return [
    either(
      'damp air',
      dampest.humidity > BLOOM_HUMIDITY,
      `Humidity was ${damp} at ${within(dampest.name)}`,
      `Humidity was never over ${damp}`,
    ),
    either(
      'dry air',
      driest.humidity < DRY_HUMIDITY,
      `Humidity was ${decimal(driest.humidity)} % at ${within(driest.name)}`,
      `Humidity was never under ${decimal(driest.humidity)} %`,
    ),
    either('near dew point', near, `${nearest.name}: ${off} from the dew point`, `Never nearer than ${off} to the dew point`),
    either('cold air', coldest.celsius < COLD + NEARLY_COLD, `It was ${cold} at ${within(coldest.name)}`, `Never under ${cold}`),
  ]
}
