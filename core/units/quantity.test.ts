import { UnitError } from './error'
import { parseQuantity } from './quantity'

it.each([
  ['temperature', '65 °F', 18.333],
  ['temperature', '-4 C', -4],
  ['temperature', '18,5', 18.5],
  ['speed', '130 ft/min', 39.624],
  ['speed', '40', 40],
  ['force', '1010 lbf', 4492.7],
  ['force', '4.5 kN', 4500],
  ['mass', '1.5 oz', 42.524],
  ['mass', '42.6g', 42.6],
] as const)('%s %s', (quantity, text, value) => {
  expect(parseQuantity(quantity, text, { temperature: '°C', speed: 'm/min', force: 'N', mass: 'g' }[quantity])).toBeCloseTo(value, 1)
})

it('takes a bare number in the turner’s own unit', () => {
  expect(parseQuantity('temperature', '65', '°F')).toBeCloseTo(18.333, 2)
  expect(parseQuantity('mass', '1', 'oz')).toBeCloseTo(28.35, 2)
})

it.each([
  ['mass', ''],
  ['mass', '-3 g'],
  ['mass', '3 g 4 oz'],
  ['mass', 'heavy'],
  ['temperature', '65 K'],
  ['speed', '40 m'],
  ['force', '1.2.3 N'],
] as const)('refuses %s “%s” and shows how to write it', (quantity, text) => {
  expect(() => parseQuantity(quantity, text, 'g')).toThrow(UnitError)
  expect(() => parseQuantity(quantity, text, 'g')).toThrow(/Write it like/)
})
