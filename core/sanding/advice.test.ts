import fc from 'fast-check'
import { given } from '../figures'
import { costOfMissing, worthBuying, worthOfSteps } from './advice'
import { heatOf } from './heat'
import { workGrit, type Rung } from './grit'
import { bestLadders, type LadderProblem } from './ladders'
import type { Medium } from './medium'
import { freshSurface } from './surface'
import { capacity, lifeUsed, withGrain, work, type Pass } from './work'

const wood: Medium = { kind: 'wood', hardness: given('hardness', 5000, 'N') }
const pass = (grain: number, change: Partial<Pass> = {}): Pass => ({
  origin: `${grain}`,
  grain,
  medium: wood,
  speed: 40,
  pressure: 1,
  ...change,
})
const rung = (grain: number): Rung => ({ id: String(grain), pass: pass(grain) })
const problem = (grains: number[], change: Partial<LadderProblem> = {}): LadderProblem => ({
  from: 30,
  target: 8,
  rungs: grains.map(rung),
  overhead: 25,
  greatestJump: 2.5,
  ...change,
})
const shelf = fc.uniqueArray(fc.integer({ min: 5, max: 150 }), { minLength: 2, maxLength: 12 })

/** The quickest of all ladders of a stock that have these grits, tried one by one. */
function bruteForce(stock: readonly number[], insisted: readonly number[], jump = 2.5): number {
  let best = Infinity
  for (let bits = 1; bits < 1 << stock.length; bits++) {
    const chosen = stock.filter((_, index) => (bits >> index) & 1).sort((a, b) => b - a)
    if (!insisted.every(grain => chosen.includes(grain))) continue
    let [total, scratch] = [0, 30]
    for (const [index, grain] of chosen.entries()) {
      const step = workGrit(rung(grain), scratch, 25)
      total += (index > 0 && chosen[index - 1]! / grain > jump + 1e-9) || !step.reaches ? Infinity : step.seconds + step.pieces * 25
      scratch = 0.3 * grain
    }
    if (scratch <= 8 + 1e-9) best = Math.min(best, total)
  }
  return best
}

it('with rungs insisted on and refused it equals brute force over all subsets (property)', () => {
  fc.assert(
    fc.property(shelf, fc.nat(), fc.nat(), fc.constantFrom(2, 3, Infinity), (grains, keep, drop, jump) => {
      const insisted = grains[keep % grains.length]!
      const refused = grains[drop % grains.length]!
      const stock = grains.filter(grain => grain !== refused || grain === insisted)
      const [found] = bestLadders(problem(stock, { insist: [String(insisted)], greatestJump: jump }))
      expect(found?.seconds ?? Infinity).toBeCloseTo(bruteForce(stock, [insisted], jump), 6)
    }),
    { numRuns: 60 },
  )
})

it('what must be in the ladder and is not on the shelf leaves none', () => {
  expect(bestLadders(problem([60, 30, 20]))).toHaveLength(1)
  expect(bestLadders(problem([60, 30, 20], { insist: ['40'] }))).toEqual([])
})

it('no step of the best ladder is worth less than nothing, and no missing one would make it quicker (property)', () => {
  fc.assert(
    fc.property(shelf, (grains) => {
      const one = problem(grains)
      const [best] = bestLadders(one)
      if (!best) return
      expect(worthOfSteps(one, best).every(({ costs }) => costs >= -1e-9)).toBe(true)
      expect(costOfMissing(one, best).every(({ costs }) => costs >= -1e-9)).toBe(true)
    }),
    { numRuns: 60 },
  )
})

it('what a missing grit would add, and what a step is worth, is what trying all ladders finds, wishes kept (property)', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 5, max: 150 }), { minLength: 3, maxLength: 8 }), fc.nat(), (grains, keep) => {
      const wish = grains[keep % grains.length]!
      const one = problem(grains, { insist: [String(wish)] })
      const [best] = bestLadders(one)
      if (!best) return
      const missing = new Map(costOfMissing(one, best).map(({ rung: { id }, costs }) => [Number(id), costs]))
      for (const grain of grains.filter(each => !best.steps.some(step => step.rung.id === String(each)))) {
        const expected = bruteForce(grains, [wish, grain]) - best.seconds
        if (Number.isFinite(expected)) expect(missing.get(grain)).toBeCloseTo(expected, 6)
        else expect(missing.has(grain)).toBe(false)
      }
      for (const { rung: { id }, costs } of worthOfSteps(one, best)) {
        const left = grains.filter(each => String(each) !== id)
        expect(costs).toBeCloseTo(bruteForce(left, left.includes(wish) ? [wish] : []) - best.seconds, 6)
      }
    }),
    { numRuns: 40 },
  )
})

it('names the one abrasive worth buying and what it saves: what trying each by itself finds (property)', () => {
  fc.assert(
    fc.property(
      shelf,
      fc.uniqueArray(
        fc.integer({ min: 151, max: 300 }).map(grain => grain / 3),
        { minLength: 1, maxLength: 5 },
      ),
      (grains, offers) => {
        const one = problem(grains)
        const now = bestLadders(one)[0]?.seconds ?? Infinity
        const each = offers.map(grain => bestLadders(problem([...grains, grain]))[0]?.seconds ?? Infinity)
        const found = worthBuying(one, offers.map(rung))
        expect(found?.ladder.seconds ?? now).toBeCloseTo(Math.min(now, ...each), 6)
        if (found) expect(found.saves).toBe(now - found.ladder.seconds)
      },
    ),
    { numRuns: 60 },
  )
})

describe('pieces', () => {
  it('a worn one takes off less, and its life adds up whatever the pauses (property)', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 60, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true }), (first, second) => {
        const worn = lifeUsed(pass(50), first)
        expect(lifeUsed(pass(50, { worn }), second)).toBeCloseTo(lifeUsed(pass(50), first + second), 9)
        expect(capacity(pass(50, { worn }))).toBeCloseTo(capacity(pass(50)) * (1 - worn), 9)
        const [apart, through] = [
          work(work(freshSurface('t', 500), pass(50), first), pass(50, { worn }), second),
          work(freshSurface('t', 500), pass(50), first + second),
        ]
        expect(apart.removed).toBeCloseTo(through.removed, 6)
      }),
    )
  })
  it('a with-grain pass crosses out the abrasive’s own rings and leaves those of others standing', () => {
    const sanded = work(freshSurface('gouge', 60), pass(100), 5)
    expect(withGrain(sanded, pass(100)).scratches.map(scratch => [scratch.origin, scratch.way])).toEqual([
      ['gouge', undefined],
      ['100', 'along'],
    ])
  })
})

describe('heat', () => {
  it('grows with speed, pressure and time, and water takes most of it', () => {
    const at = (change: Partial<Pass>, seconds = 20, wet = false) => heatOf(pass(50, change), seconds, wet).load
    expect(at({ speed: 80 })).toBeCloseTo(2 * at({}), 9)
    expect(at({}, 60)).toBeGreaterThan(at({}, 10))
    expect(at({}, 20, true)).toBeCloseTo(at({}) / 3, 9)
    expect(heatOf(pass(50, { speed: 120 }), 30)).toMatchObject({ level: 'hot', advice: expect.stringMatching(/Slower/) })
    expect(heatOf(pass(50), 5).level).toBe('cool')
    expect(heatOf(pass(50, { medium: { kind: 'resin' } }), 60).level).toBe('warm')
    // What it does is told by what it does it to.
    const hot = (medium: Medium) => heatOf(pass(50, { speed: 160, medium }), 60).advice
    expect(hot(wood)).toMatch(/burns the paper and checks the wood/)
    expect(hot({ kind: 'resin' })).toMatch(/melts or clouds the surface/)
  })
})
