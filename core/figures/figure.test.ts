import { given, worked } from './figure'

const hardness = given('hardness', 5000, 'N', { mark: 'pub', note: 'a handbook' })
const factor = given('factor', 0.75, '×', { mark: 'model' })
const mine = given('temperature', 18.5, '°C')

it('says of a given number whose it is', () => {
  expect(hardness).toEqual({ label: 'hardness', value: 5000, unit: 'N', origin: 'published', mark: 'pub', note: 'a handbook' })
  expect(factor).toMatchObject({ origin: 'default', mark: 'model' })
  expect(mine).toEqual({ label: 'temperature', value: 18.5, unit: '°C', origin: 'yours' })
})

it('carries what went into a worked-out number, and how', () => {
  const capacity = worked('capacity', 0.7, '×', 'by hardness', [hardness, factor])
  const time = worked('time', 12, 's', 'model', [capacity, mine])
  expect(time).toMatchObject({ value: 12, unit: 's', origin: 'worked out', note: 'model' })
  expect(time.from).toEqual([capacity, mine])
  expect(time.from![0]!.from).toEqual([hardness, factor])
})
