/** The air of the workshop: °C and % relative humidity. */
export interface Climate {
  /** Temperature, °C. */
  celsius: number
  /** Relative humidity, %. */
  humidity: number
}

/**
 * The temperature at which this air would wet a surface, in °C. Magnus formula with 17.62 and 243.12 °C (WMO No. 8).
 * @throws RangeError for a humidity outside 0 (excluded) to 100 %
 */
export function dewPoint(celsius: number, relativeHumidity: number): number {
  if (!(relativeHumidity > 0 && relativeHumidity <= 100)) throw new RangeError('Humidity must lie above 0 and up to 100 %.')
  const gamma = Math.log(relativeHumidity / 100) + (17.62 * celsius) / (243.12 + celsius)
  return (243.12 * gamma) / (17.62 - gamma)
}

/**
 * The moisture that wood settles at in this air, in % of its dry mass: the Hailwood-Horrobin fit of the Wood Handbook
 * (USDA Forest Products Laboratory), chapter 4, in °C. Meant for about 0 to 60 °C.
 * @throws RangeError for a humidity outside 0 to 100 %
 */
export function equilibriumMoisture(celsius: number, relativeHumidity: number): number {
  if (!(relativeHumidity >= 0 && relativeHumidity <= 100)) throw new RangeError('Humidity must lie within 0 to 100 %.')
  const t = celsius
  const h = relativeHumidity / 100
  const w = 349 + 1.29 * t + 0.0135 * t * t
  const k = 0.805 + 0.000736 * t - 0.00000273 * t * t
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t * t
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t * t
  const kh = k * h
  const bound = (k1 * kh + 2 * k1 * k2 * kh * kh) / (1 + k1 * kh + k1 * k2 * kh * kh)
  return (1800 / w) * (kh / (1 - kh) + bound)
}
