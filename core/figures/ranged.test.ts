import { median } from 'simple-statistics'
import { ranged, weightedQuantile } from './ranged'

const alike = (values: readonly number[]) => values.map(value => ({ value, weight: 2 }))

it('with equal weights the median is that of a general statistics package (simple-statistics)', () => {
  for (const values of [[9, 1, 4, 7, 3], [2], [5, 5, 1]]) expect(weightedQuantile(alike(values), 0.5)).toBe(median(values))
  expect([0.1, 0.3, 0.5, 0.7, 0.9].map(part => weightedQuantile(alike([9, 1, 4, 7, 3]), part))).toEqual([1, 3, 4, 7, 9])
})
it('a value counts as much as its weight: three of it stand for weight three (by hand)', () => {
  const weighed = [{ value: 10, weight: 3 }, { value: 1, weight: 1 }, { value: 20, weight: 1 }]
  expect(ranged(weighed)).toEqual({ low: 1, likely: 10, high: 20 })
  expect(weightedQuantile(weighed, 0.2)).toBe(1)
  expect(weightedQuantile(weighed, 0.21)).toBe(10)
  expect(weightedQuantile(weighed, 0.81)).toBe(20)
})
it('what weighs nothing is never the answer, and nothing at all has none', () => {
  expect(weightedQuantile([{ value: 5, weight: 1 }, { value: 9, weight: 0 }], 1)).toBe(5)
  expect(() => ranged([])).toThrow(RangeError)
})
