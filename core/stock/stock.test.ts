import fc from 'fast-check'
import { whatToBuy, type Wanted } from './buy'
import { priceOfNext } from './lots'
import { sheetsLeft } from './sheets'

const set = (change: Partial<Wanted> = {}): Wanted => ({ what: 'fitting:click-8', name: 'Click', needed: 5, there: 2, piece: 1, ...change })
const nothing = () => undefined

it('what is missing is bought in whole packs where it is sold, at its price (worked by hand)', () => {
  const glue: Wanted = { what: 'bottle:thin-ca', name: 'Thin CA', needed: 40, there: 9, piece: 28 }
  const told = whatToBuy(
    [set(), glue],
    what => (what === 'fitting:click-8' ? { source: 'the pen shop', pack: 4 } : { source: 'a fair', pack: 1 }),
    what => (what === 'fitting:click-8' ? 650 : undefined),
  )
  // Three sets are missing: a pack of four, 26.00. 31 ml of glue are missing: two bottles of 28.
  expect(told).toEqual([
    { source: 'a fair', rows: [{ ...glue, short: 31, least: 2, pieces: 2, cost: null }], cost: 0 },
    { source: 'the pen shop', rows: [{ ...set(), short: 3, least: 3, pieces: 4, cost: 2600 }], cost: 2600 },
  ])
})
it('what lasts is not on the list, wants of one thing are one row, what nobody counted is asked for in full', () => {
  expect(whatToBuy([set({ there: 5 }), set({ what: 'a', there: 4.995 })], nothing, nothing)).toEqual([])
  const [said, unsaid] = whatToBuy(
    [set({ needed: 2 }), set({ needed: 2 }), set({ what: 'x', name: 'X', there: null, needed: 3 })],
    what => (what === 'x' ? undefined : { source: 'z', pack: 1 }), nothing,
  )
  expect([said!.source, said!.rows[0]!.short, unsaid!.source, unsaid!.rows[0]!.least]).toEqual(['z', 2, '', 3])
  // A bottle of unknown size: one is enough, as far as anybody knows.
  expect(whatToBuy([set({ piece: null, needed: 40, there: null })], nothing, nothing)[0]!.rows[0]!.least).toBe(1)
})
it('what is bought is enough, and a pack less would not be (property)', () => {
  const any = fc.record({ needed: fc.double({ min: 0.1, max: 300, noNaN: true }), there: fc.double({ min: 0, max: 300, noNaN: true }) })
  fc.assert(fc.property(any, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 60 }), ({ needed, there }, pack, piece) => {
    const row = whatToBuy([set({ needed, there, piece })], () => ({ source: '', pack }), nothing)[0]?.rows[0]
    const bought = row?.pieces ?? 0
    expect(there + bought * piece).toBeGreaterThanOrEqual(needed - 0.02)
    expect(bought % pack).toBe(0)
    if (bought) expect(there + (bought - pack) * piece).toBeLessThan(needed)
  }))
})
it('the oldest lot goes first, and what goes beyond all of them costs what the last did (worked by hand)', () => {
  const lots = [{ count: 3, each: 500 }, { count: 2, each: 650 }]
  expect([0, 2, 3, 4, 9].map(used => priceOfNext(lots, used, 1))).toEqual([500, 500, 650, 650, 650])
  // One of the first lot, two of the second, one beyond: 5.00 + 13.00 + 6.50.
  expect(priceOfNext(lots, 2, 4)).toBe(2450)
  expect([priceOfNext([], 0, 1), priceOfNext([{ count: 1, each: null }], 0, 1)]).toEqual([null, null])
  expect(priceOfNext([{ count: 1, each: null }, { count: 1, each: 700 }], 1, 1)).toBe(700)
})
it('taken one by one lots cost what they cost together (property)', () => {
  const lot = fc.record({ count: fc.integer({ min: 1, max: 9 }), each: fc.nat(5000) })
  const some = fc.array(lot, { minLength: 1, maxLength: 6 })
  fc.assert(fc.property(some, fc.nat(20), fc.integer({ min: 1, max: 20 }), (lots, used, pieces) => {
    const single = Array.from({ length: pieces }, (_, index) => priceOfNext(lots, used + index, 1)!).reduce((sum, one) => sum + one, 0)
    expect(priceOfNext(lots, used, pieces)).toBe(single)
  }))
})
it('sheets wear one after another: what is gone of them is what was taken, and no more than one is begun (property)', () => {
  const some = fc.record({ count: fc.integer({ min: 0, max: 40 }), worn: fc.double({ min: 0, max: 1, noNaN: true }) })
  fc.assert(fc.property(some, fc.double({ min: 0.001, max: 50, noNaN: true }), (counted, taken) => {
    const { count, worn } = sheetsLeft(counted, taken)
    expect(Number.isInteger(count) && count >= 0 && worn >= 0 && worn < 1.00001).toBe(true)
    expect(count - worn).toBeCloseTo(Math.max(0, counted.count - counted.worn - taken), 5)
    expect(sheetsLeft({ count, worn }, 0)).toEqual({ count, worn })
  }))
  // A tenth three times is not a hair more than three tenths.
  expect(sheetsLeft({ count: 2, worn: 0.7 }, 0.1 + 0.1 + 0.1)).toEqual({ count: 1, worn: expect.closeTo(0, 9) })
})
