import fc from 'fast-check'
import {
  fromFahrenheit,
  fromFeetPerMinute,
  fromOunces,
  fromPoundsForce,
  toFahrenheit,
  toFeetPerMinute,
  toOunces,
  toPoundsForce,
} from './measure'
import { unitWords } from './system'

const value = fc.double({ min: -1000, max: 1e6, noNaN: true })

it('converts by the defined values', () => {
  expect(toFahrenheit(0)).toBe(32)
  expect(toFahrenheit(100)).toBe(212)
  expect(fromFahrenheit(70)).toBeCloseTo(21.111, 3)
  // One foot is 0.3048 m by definition; one pound-force 4.448222 N.
  expect(toFeetPerMinute(0.3048)).toBeCloseTo(1, 12)
  expect(fromPoundsForce(1000)).toBeCloseTo(4448.222, 3)
})

it.each([
  ['temperature', toFahrenheit, fromFahrenheit],
  ['speed', toFeetPerMinute, fromFeetPerMinute],
  ['force', toPoundsForce, fromPoundsForce],
  ['mass', toOunces, fromOunces],
])('%s comes back the same (property)', (_, there, back) => {
  fc.assert(fc.property(value, x => Math.abs(back(there(x)) - x) <= 1e-9 * Math.max(1, Math.abs(x))))
})

it('shows each quantity in the units a turner chose', () => {
  expect([unitWords('metric').temperature(18.5), unitWords('inch').temperature(18.5)]).toEqual(['18.5 °C', '65 °F'])
  expect([unitWords('metric').speed(40), unitWords('inch').speed(40)]).toEqual(['40 m/min', '131 ft/min'])
  expect([unitWords('metric').force(4448), unitWords('inch').force(4448)]).toEqual(['4448 N', '1000 lbf'])
  expect([unitWords('metric').length(10.135), unitWords('inch').length(10.16), unitWords('inch64').length(12.7)]).toEqual([
    '10.14 mm',
    '0.400 in',
    '1/2 in',
  ])
})
