import jstat from 'jstat'
import fc from 'fast-check'
import { chance } from '../../../tests/support/chance'
import { logChoose, logFactorial } from './binomial'
import { exactP } from './fisher'
import { amongMany } from './many'
import { medianOf, middleOf, shiftsOf } from './middle'
import { beyondNormal, normalAt, normalBelow, withinNormal } from './normal'
import { pulledRate, wholeOf } from './pulled'
import { differenceOf, rateOf, type Counted } from './rate'
import { likeWithLike, type Stratum } from './stratified'
import { moreNeeded, surenessOf } from './verdict'

const of = (hits: number, all: number): Counted => ({ hits, of: all })
const anyRate = fc.nat({ max: 60 }).chain(all => fc.record({ hits: fc.nat({ max: all }), of: fc.constant(all) }))

/** By how much one kind is higher than another, as surely as is usual. */
const shiftOf = (one: readonly number[], other: readonly number[]) => shiftsOf(one, other)()

describe('the normal', () => {
  it('lies where tables have it', () => {
    expect(normalBelow(0)).toBe(0.5)
    expect(normalBelow(1)).toBeCloseTo(0.841344746068543, 12)
    expect(normalBelow(-3)).toBeCloseTo(0.001349898031630, 12)
    expect(withinNormal(0.95)).toBeCloseTo(1.959963984540054, 10)
    expect(withinNormal(0.99)).toBeCloseTo(2.575829303548901, 10)
    expect(beyondNormal(-1.959963984540054)).toBeCloseTo(0.05, 12)
  })
  it('goes up from 0 to 1, alike to both sides, and back again (property)', () => {
    fc.assert(fc.property(fc.double({ min: -6, max: 6, noNaN: true }), (z) => {
      expect(normalBelow(z) + normalBelow(-z)).toBeCloseTo(1, 12)
      expect(normalAt(normalBelow(z))).toBeCloseTo(z, 5)
    }))
    expect([normalBelow(-50), normalBelow(50)]).toEqual([0, 1])
    expect(() => normalAt(0)).toThrow(RangeError)
  })
})

describe('counting', () => {
  it('factorials and choices are what multiplying gives', () => {
    expect(Math.exp(logFactorial(10))).toBeCloseTo(3_628_800, 3)
    expect(logFactorial(20)).toBeCloseTo(Math.log(2_432_902_008_176_640_000), 10)
    expect(Math.exp(logChoose(49, 6))).toBeCloseTo(13_983_816, 3)
    expect(logChoose(3, 4)).toBe(-Infinity)
  })
})

describe('a rate', () => {
  // Newcombe, Statistics in Medicine 17 (1998), 857-872, table I, score method; from memory.
  it.each([[81, 263, 0.2553, 0.3662], [15, 148, 0.0624, 0.1605], [0, 20, 0, 0.1611], [1, 29, 0.0061, 0.1718]])(
    '%d of %d lies where Newcombe has it', (hits, all, low, high) => {
      expect(rateOf(of(hits, all)).low).toBeCloseTo(low, 4)
      expect(rateOf(of(hits, all)).high).toBeCloseTo(high, 4)
    })
  it('stays within 0 and 1, holds its value, and is the same from the other side (property)', () => {
    fc.assert(fc.property(anyRate, ({ hits, of: all }) => {
      const { value, low, high } = rateOf(of(hits, all))
      expect(low).toBeGreaterThanOrEqual(0)
      expect(high).toBeLessThanOrEqual(1)
      expect(low <= value && value <= high).toBe(true)
      expect(1 - rateOf(of(all - hits, all)).high).toBeCloseTo(low, 9)
    }))
    expect(() => rateOf(of(3, 2))).toThrow(RangeError)
  })
})

describe('two rates', () => {
  // Newcombe, Statistics in Medicine 17 (1998), 873-890, table II, method 10; from memory.
  it.each([
    [56, 70, 48, 80, 0.0524, 0.3339], [9, 10, 3, 10, 0.1705, 0.8090], [6, 7, 2, 7, 0.0582, 0.8062], [5, 56, 0, 29, -0.0381, 0.1926],
    [0, 10, 0, 20, -0.1611, 0.2775], [10, 10, 0, 20, 0.6791, 1],
  ])('%d of %d and %d of %d differ as Newcombe has it', (a, n, b, m, low, high) => {
    expect(differenceOf(of(a, n), of(b, m)).low).toBeCloseTo(low, 4)
    expect(differenceOf(of(a, n), of(b, m)).high).toBeCloseTo(high, 4)
  })
  it('the lady who tastes tea: three of four right (Fisher 1935: 34 of 70)', () => {
    expect(exactP(of(3, 4), of(1, 4))).toBeCloseTo(34 / 70, 10)
    expect(exactP(of(4, 4), of(0, 4))).toBeCloseTo(2 / 70, 10)
  })
  it('are as likely by chance from either side, and surely so where they are the same (property)', () => {
    fc.assert(fc.property(anyRate, anyRate, (one, other) => {
      const likelihood = exactP(one, other)
      expect(likelihood).toBeGreaterThan(0)
      expect(likelihood).toBeLessThanOrEqual(1)
      expect(exactP(other, one)).toBeCloseTo(likelihood, 9)
      expect(exactP(one, one)).toBeCloseTo(1, 9)
    }))
  })
})

describe('like with like', () => {
  /** Admissions at Berkeley in 1973 by department, men and women (Bickel, Hammel and O’Connell, Science 187, 1975); from memory. */
  const berkeley: Stratum[] = [
    [512, 825, 89, 108], [353, 560, 17, 25], [120, 325, 202, 593], [138, 417, 131, 375], [53, 191, 94, 393], [22, 373, 24, 341],
  ].map(([a, n, b, m]) => ({ one: of(a!, n!), other: of(b!, m!) }))
  it('is not fooled where all thrown together tells the contrary (Berkeley; Mantel-Haenszel 1.525, p 0.217)', () => {
    const sum = (which: 'one' | 'other') =>
      berkeley.reduce((all, one) => of(all.hits + one[which].hits, all.of + one[which].of), of(0, 0))
    expect(differenceOf(sum('one'), sum('other')).low).toBeGreaterThan(0.11)
    const told = likeWithLike(berkeley)
    expect(told.value).toBeLessThan(0)
    expect(told.likelihood).toBeCloseTo(0.2169, 3)
    expect(told.strata).toBe(6)
  })
  it('of one group it is the plain difference; one that lacks the other side tells nothing (property)', () => {
    fc.assert(fc.property(anyRate, anyRate, (one, other) => {
      const told = likeWithLike([{ one, other }, { one: of(3, 5), other: of(0, 0) }])
      if (!one.of || !other.of) {
        expect(told).toMatchObject({ strata: 0, likelihood: 1 })
        return
      }
      expect(told.value).toBeCloseTo(one.hits / one.of - other.hits / other.of, 9)
      expect(told.low <= told.value && told.value <= told.high).toBe(true)
    }))
  })
  it('of one group its interval is as wide as the two rates have it (by hand: 0.6 · 0.4 / 100 + 0.3 · 0.7 / 100)', () => {
    const { value, high } = likeWithLike([{ one: of(60, 100), other: of(30, 100) }])
    expect(high - value).toBeCloseTo(withinNormal(0.95) * Math.sqrt(0.0045), 9)
  })
  it('its interval holds the truth about as often as it says (simulated: many small groups, 400 logs)', () => {
    const { uniform } = chance(7)
    const draw = (all: number, rate: number) => of(Array.from({ length: all }).filter(() => uniform() < rate).length, all)
    let holds = 0
    for (let log = 0; log < 400; log++) {
      const strata = Array.from({ length: 12 }, (): Stratum => {
        const base = 0.1 + 0.4 * uniform()
        return { one: draw(2 + Math.floor(6 * uniform()), base + 0.2), other: draw(2 + Math.floor(6 * uniform()), base) }
      })
      const { low, high } = likeWithLike(strata)
      if (low <= 0.2 && 0.2 <= high) holds++
    }
    expect(holds / 400).toBeGreaterThan(0.91)
    expect(holds / 400).toBeLessThan(0.99)
  })
})

describe('many questions', () => {
  it('as Benjamini and Hochberg (1995) have it: of their fifteen, four at one in twenty', () => {
    const theirs = [
      0.0001, 0.0004, 0.0019, 0.0095, 0.0201, 0.0278, 0.0298, 0.0344, 0.0459, 0.3240, 0.4262, 0.5719, 0.6528, 0.7590, 1,
    ]
    expect(amongMany(theirs).filter(one => one <= 0.05)).toHaveLength(4)
    expect(amongMany(theirs)[3]).toBeCloseTo(0.0095 * 15 / 4, 9)
  })
  it('nothing gets likelier, the order stays, and one question alone is as it was (property)', () => {
    fc.assert(fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 1 }), (all) => {
      const told = amongMany(all)
      told.forEach((one, at) => expect(one).toBeGreaterThanOrEqual(all[at]! - 1e-12))
      all.forEach((a, i) => all.forEach((b, j) => {
        if (a < b) expect(told[i]!).toBeLessThanOrEqual(told[j]! + 1e-12)
      }))
      expect(amongMany([all[0]!])).toEqual([all[0]])
    }), { numRuns: 50 })
  })
})

describe('the middle', () => {
  it('has an interval from six values on: all of them, at 31 of 32 (by hand)', () => {
    expect(medianOf([1, 2, 3, 4, 5])).toBeUndefined()
    expect(medianOf([6, 1, 5, 2, 4, 3])).toEqual({ value: 3.5, low: 1, high: 6 })
    // Of nine the second and the eighth: 2 · (1 + 9) / 512 lie outside.
    expect(medianOf([9, 8, 7, 6, 5, 4, 3, 2, 1])).toEqual({ value: 5, low: 2, high: 8 })
  })
  it('holds the true one at least as often as it says, whatever the values are like (simulated)', () => {
    const { normal } = chance(3)
    let holds = 0
    for (let log = 0; log < 500; log++) {
      const { low, high } = medianOf(Array.from({ length: 15 }, () => Math.exp(normal())))!
      if (low <= 1 && 1 <= high) holds++
    }
    expect(holds / 500).toBeGreaterThan(0.93)
  })
  it('a shift is the middle of all differences, moves with the values, and turns round (property)', () => {
    expect(shiftOf([3, 5, 7, 9, 11, 13], [0, 2, 4, 6, 8, 10])!.value).toBe(3)
    expect(shiftOf([1, 2], [3])).toBeUndefined()
    const values = fc.array(fc.integer({ min: 0, max: 1000 }), { minLength: 8, maxLength: 30 })
    fc.assert(fc.property(values, values, fc.integer({ min: -500, max: 500 }), (a, b, by) => {
      const [told, moved, turned] = [shiftOf(a, b)!, shiftOf(a.map(one => one + by), b)!, shiftOf(b, a)!]
      expect(moved.value).toBeCloseTo(told.value + by, 9)
      expect(turned.low).toBeCloseTo(-told.high, 9)
      expect(told.low <= told.value && told.value <= told.high).toBe(true)
    }), { numRuns: 50 })
    expect(middleOf([4, 1, 3, 2])).toBe(2.5)
  })
  it('of very many it is thinned out, and stays what it is', () => {
    const many = Array.from({ length: 5000 }, (_, at) => at / 5000)
    const { value, low, high } = shiftOf(many.map(one => one + 0.1), many)!
    expect(value).toBeCloseTo(0.1, 2)
    expect(high - low).toBeLessThan(0.04)
  })
})

describe('drawn to the whole', () => {
  it('groups that differ no more than by chance have the rate of all', () => {
    const whole = wholeOf([of(5, 10), of(4, 10), of(6, 10)])
    expect(pulledRate(of(4, 10), whole)).toBe(0.5)
  })
  it('small ones are drawn the most, and never past either rate (property)', () => {
    fc.assert(fc.property(fc.array(anyRate, { minLength: 2, maxLength: 8 }), (groups) => {
      const whole = wholeOf(groups)
      for (const group of groups.filter(one => one.of)) {
        const [own, pulled] = [group.hits / group.of, pulledRate(group, whole)]
        expect(pulled).toBeGreaterThanOrEqual(Math.min(own, whole.rate) - 1e-9)
        expect(pulled).toBeLessThanOrEqual(Math.max(own, whole.rate) + 1e-9)
      }
    }))
    const whole = wholeOf([of(1, 2), of(50, 100), of(2, 100), of(90, 100)])
    expect(Math.abs(pulledRate(of(0, 2), whole) - whole.rate)).toBeLessThan(Math.abs(pulledRate(of(0, 100), whole) - whole.rate))
  })
})

describe('in words', () => {
  it('have a fixed meaning', () => expect([0.005, 0.05, 0.5].map(surenessOf)).toEqual(['sure', 'likely', 'not yet']))
  it('how many more would tell: none where it is likely, fewer the more they differ, none ever where they are the same', () => {
    expect(moreNeeded(of(30, 40), of(10, 40))).toBe(0)
    const [much, little] = [moreNeeded(of(3, 5), of(1, 5)), moreNeeded(of(3, 5), of(2, 5))]
    expect(much).toBeGreaterThan(0)
    expect(little!).toBeGreaterThan(much!)
    expect(moreNeeded(of(2, 4), of(2, 4))).toBeUndefined()
  })
})

describe('beside a statistics package of the registry', () => {
  it('normal, binomial and hypergeometric are the same (property)', () => {
    fc.assert(fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0.001, max: 0.999, noNaN: true }), (z, part) => {
      expect(normalBelow(z)).toBeCloseTo(jstat.normal.cdf(z, 0, 1), 6)
      expect(normalAt(part)).toBeCloseTo(jstat.normal.inv(part, 0, 1), 5)
    }))
    const small = fc.integer({ min: 1, max: 40 })
    fc.assert(fc.property(small, small, small, small, (a, b, hitsA, hitsB) => {
      const [one, other] = [{ hits: Math.min(a, hitsA), of: a }, { hits: Math.min(b, hitsB), of: b }]
      const hits = one.hits + other.hits
      const at = (k: number) => jstat.hypgeom.pdf(k, a + b, a, hits)
      const own = at(one.hits)
      let sum = 0
      for (let k = Math.max(0, hits - b); k <= Math.min(a, hits); k++) if (at(k) <= own * (1 + 1e-7)) sum += at(k)
      expect(exactP(one, other)).toBeCloseTo(Math.min(1, sum), 6)
    }), { numRuns: 60 })
  })
  it('the interval of a median leaves out as much as the binomial says', () => {
    for (const count of [6, 15, 40, 101]) {
      const values = Array.from({ length: count }, (_, index) => index)
      const { low } = medianOf(values)!
      expect(jstat.binomial.cdf(low, count, 0.5)).toBeLessThanOrEqual(0.025 + 1e-9)
      expect(jstat.binomial.cdf(low + 1, count, 0.5)).toBeGreaterThan(0.025)
    }
  })
})
