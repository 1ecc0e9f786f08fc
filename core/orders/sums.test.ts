import fc from 'fast-check'
import { broughtOf, orderSum, placeSum, type Moved } from './sums'

it('a fair’s sum (worked by hand): three sold, one given away, one of the three given back in part', () => {
  const moved: Moved[] = [
    { kind: 'leave', how: 'sold', price: 3800 }, { kind: 'leave', how: 'sold', price: 4250 }, { kind: 'leave', how: 'given', price: null },
    { kind: 'leave', how: 'sold', price: null }, { kind: 'return', paid: 2000 }, { kind: 'return', paid: null },
  ]
  // 38.00 + 42.50 = 80.50; 20.00 paid back, 15.00 for the table: 45.50.
  expect(placeSum(moved, 1500)).toEqual({ sold: 3, given: 1, taken: 8050, paidBack: 2000, cost: 1500, left: 4550 })
  expect(placeSum([], 1500).left).toBe(-1500)
})
it('an order’s sum (worked by hand): what is asked, and what is still to be paid', () => {
  expect(orderSum([3800, 3800, 4250], 5000)).toEqual({ asked: 11_850, isWhole: true, open: 6850 })
  expect(orderSum([3800, null], null)).toEqual({ asked: 3800, isWhole: false, open: 3800 })
  expect(orderSum([1000], 1500).open).toBe(-500)
})
it('what such pens brought: the least, the most and the middle one, between two of them where their count is even', () => {
  expect(broughtOf([])).toBeUndefined()
  expect(broughtOf([4000])).toEqual({ pens: 1, least: 4000, middle: 4000, most: 4000 })
  expect(broughtOf([4500, 3000, 3501])).toEqual({ pens: 3, least: 3000, middle: 3501, most: 4500 })
  expect(broughtOf([3000, 3501])!.middle).toBe(3251)
})
it('at least half of them brought the middle or less, at least half the middle or more (property)', () => {
  fc.assert(fc.property(fc.array(fc.nat(100_000), { minLength: 1, maxLength: 30 }), (prices) => {
    const { middle, least, most } = broughtOf(prices)!
    expect(2 * prices.filter(one => one <= middle).length).toBeGreaterThanOrEqual(prices.length)
    expect(2 * prices.filter(one => one >= Math.floor(middle)).length).toBeGreaterThanOrEqual(prices.length - 1)
    expect([least <= middle, middle <= most]).toEqual([true, true])
  }))
})
