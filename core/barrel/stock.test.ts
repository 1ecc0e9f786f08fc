import fc from 'fast-check'
import { chance } from '../../tests/support/chance'
import { cutStock } from './stock/cut-stock'
import type { CutLayout, StockProblem } from './stock/problem'
import { whyNot } from './stock/why-not'

const KERF = 1.2

/** Every piece once, nothing past the end of its stick, a kerf between two pieces, only sticks that are there and that suit. */
function check({ wanted, stock, kerf, trim = 0 }: StockProblem, { layouts, unplaced, used, waste }: CutLayout): void {
  expect([...layouts.flatMap(one => one.pieces.map(piece => piece.id)), ...unplaced].sort()).toEqual(wanted.map(piece => piece.id).sort())
  for (const stick of stock) expect(layouts.filter(one => one.stock === stick.id).length).toBeLessThanOrEqual(stick.count)
  for (const { stock: id, pieces, length } of layouts) {
    const stick = stock.find(one => one.id === id)!
    let free = trim
    for (const piece of pieces) {
      const asked = wanted.find(one => one.id === piece.id)!
      expect(piece.from).toBeGreaterThanOrEqual(free - 1e-6)
      free = piece.from + piece.length + kerf
      expect(piece.length).toBe(asked.length)
      expect(asked.section ?? 0).toBeLessThanOrEqual(stick.section ?? Infinity)
      expect(asked.from ?? [id]).toContain(id)
    }
    expect(free - kerf).toBeLessThanOrEqual(length - trim + 0.011)
  }
  const cut = layouts.flatMap(one => one.pieces).reduce((sum, piece) => sum + piece.length, 0)
  expect(used).toBeCloseTo(
    layouts.reduce((sum, one) => sum + one.length, 0),
    6,
  )
  expect(waste).toBeCloseTo(used - cut, 6)
}

/** The best by trying every piece on every stick, written apart from the solver: fewest left out, then least length begun. */
function bruteForce({ wanted, stock, kerf, trim = 0 }: StockProblem): { unplaced: number, used: number } {
  const sticks = stock.flatMap(stick => Array.from({ length: stick.count }, () => stick))
  let best = { unplaced: Infinity, used: Infinity }
  const loads = sticks.map(() => [] as number[])
  const place = (index: number, unplaced: number): void => {
    if (index === wanted.length) {
      const used = sticks.reduce((sum, stick, i) => (loads[i]!.length ? sum + stick.length : sum), 0)
      if (unplaced < best.unplaced || (unplaced === best.unplaced && used < best.used)) best = { unplaced, used }
      return
    }
    const piece = wanted[index]!
    sticks.forEach((stick, i) => {
      const load = loads[i]!
      const taken = load.reduce((sum, one) => sum + one, 0) + load.length * kerf + piece.length
      if (
        taken > stick.length - 2 * trim + 1e-9
        || (piece.section ?? 0) > (stick.section ?? Infinity)
        || (piece.from && !piece.from.includes(stick.id))
      )
        return
      load.push(piece.length)
      place(index + 1, unplaced)
      load.pop()
    })
    place(index + 1, unplaced + 1)
  }
  place(0, 0)
  return best
}

const anyWanted = fc.record({
  length: fc.integer({ min: 500, max: 1300 }).map(tenths => tenths / 10),
  section: fc.constantFrom(undefined, 14, 18),
  from: fc.constantFrom(undefined, ['s0'], ['s1'], ['s0', 's1']),
})
const anyStock = fc.record({
  length: fc.constantFrom(150, 200, 300, 305),
  count: fc.integer({ min: 1, max: 2 }),
  section: fc.constantFrom(undefined, 15, 19),
})
const problem = (pieces: number, trim = fc.constantFrom(0, 2)): fc.Arbitrary<StockProblem> =>
  fc.record({
    wanted: fc.array(anyWanted, { minLength: 1, maxLength: pieces }).map(all => all.map((one, i) => ({ ...one, id: `p${i}` }))),
    stock: fc.array(anyStock, { minLength: 1, maxLength: 2 }).map(all => all.map((one, i) => ({ ...one, id: `s${i}` }))),
    kerf: fc.constant(KERF),
    trim,
  })

it('is as good as trying everything, on small problems (property)', () => {
  fc.assert(
    fc.property(problem(6), (one) => {
      const found = cutStock(one)
      check(one, found)
      expect(found.proven).toBe(true)
      expect({ unplaced: found.unplaced.length, used: found.used }).toEqual(bruteForce(one))
    }),
    { numRuns: 120 },
  )
})

it('is sound on large ones, never below its own bound nor the mere sum of lengths, and not far above (property)', () => {
  const many = fc.array(fc.constantFrom(63.4, 61, 113, 116.2, 107.8), { minLength: 60, maxLength: 100 })
  fc.assert(
    fc.property(many, fc.constantFrom([300], [305, 900], [240, 300, 450]), (lengths, sticks) => {
      const one: StockProblem = {
        wanted: lengths.map((length, i) => ({ id: `p${i}`, length })),
        stock: sticks.map((length, i) => ({ id: `s${i}`, length, count: 200 })),
        kerf: KERF,
      }
      const found = cutStock(one)
      check(one, found)
      expect(found.unplaced).toEqual([])
      expect(found.used).toBeGreaterThanOrEqual(found.bound - 1e-6)
      // A stick longer by a kerf holds pieces longer by a kerf: no layout begins less than the sum of these.
      const sum = lengths.reduce((mm, length) => mm + length + KERF, 0)
      expect(found.used).toBeGreaterThanOrEqual(sum - found.layouts.length * KERF - 1e-6)
      expect(found.used).toBeLessThanOrEqual(found.bound * 1.08)
    }),
    { numRuns: 12 },
  )
})

it('keeps what it has learnt to find on eight problems of the size of an evening: no more is begun, half of them proven best', () => {
  const { uniform } = chance(7)
  const found = Array.from({ length: 8 }, (_, n) =>
    cutStock({
      wanted: Array.from({ length: 24 + n * 2 }, (_, i) => ({ id: `p${i}`, length: Math.round((40 + uniform() * 110) * 10) / 10 })),
      stock: [
        { id: 'a', length: 300, count: 40 },
        { id: 'b', length: 450, count: 6 },
        { id: 'c', length: 240, count: 5 },
      ],
      kerf: 1.2,
    }))
  expect(found.flatMap(one => one.unplaced)).toEqual([])
  // The bounds of the eight make 24 030 mm; what is begun was found by this search and may only become less.
  expect(found.reduce((sum, one) => sum + one.bound, 0)).toBeCloseTo(24_030, 6)
  expect(found.reduce((sum, one) => sum + one.used, 0)).toBeLessThanOrEqual(24_150)
  expect(found.filter(one => one.proven).length).toBeGreaterThanOrEqual(4)
})

it('a pair that fills a stick to the last tenth needs no kerf after it (worked by hand: 100 + 1.2 + 98.8 = 200)', () => {
  const found = cutStock({
    wanted: [
      { id: 'a', length: 100 },
      { id: 'b', length: 98.8 },
    ],
    stock: [{ id: 's', length: 200, count: 2 }],
    kerf: 1.2,
  })
  expect(found).toMatchObject({
    used: 200,
    unplaced: [],
    layouts: [
      {
        pieces: [
          { id: 'a', from: 0 },
          { id: 'b', from: 101.2 },
        ],
        over: 0,
      },
    ],
  })
})

it('leaves out as few as it can where there is not enough, and says which', () => {
  const found = cutStock({
    wanted: [
      { id: 'long', length: 190 },
      { id: 'a', length: 60 },
      { id: 'b', length: 60 },
      { id: 'c', length: 60 },
    ],
    stock: [{ id: 's', length: 200, count: 1 }],
    kerf: 1.2,
  })
  expect(found.unplaced).toEqual(['long'])
})

it('refuses what is no length', () => {
  expect(() => cutStock({ wanted: [{ id: 'a', length: 0 }], stock: [], kerf: 1 })).toThrow(RangeError)
  expect(() => cutStock({ wanted: [], stock: [{ id: 's', length: -3, count: 1 }], kerf: 1 })).toThrow(RangeError)
})

it('says why a piece has no stick: no such wood, too thin, too short, or taken by others', () => {
  const problem: StockProblem = {
    wanted: [
      { id: 'holly', length: 100, section: 15, from: ['holly'] },
      { id: 'thick', length: 100, section: 20, from: ['apple'] },
      { id: 'long', length: 140, section: 15, from: ['apple'] },
      { id: 'one', length: 100, section: 15, from: ['apple'] },
      { id: 'two', length: 100, section: 15, from: ['apple'] },
    ],
    stock: [{ id: 'apple', length: 145, count: 1, section: 19 }, { id: 'pear', length: 300, count: 0, section: 30 }],
    kerf: 1.5,
    trim: 5,
  }
  const { unplaced } = cutStock(problem)
  const reasons = unplaced.map(id => `${id}: ${whyNot(problem, problem.wanted.find(one => one.id === id)!)}`)
  expect(reasons.filter(one => !/^(one|two)/.test(one)).sort()).toEqual(['holly: no such wood', 'long: too short', 'thick: too thin'])
  expect(reasons.filter(one => /^(one|two)/.test(one))).toEqual([expect.stringMatching(/used up$/)])
  expect(whyNot(problem, { id: 'any', length: 100 })).toBe('used up')
})
