import fc from 'fast-check'
import { given } from '../figures'
import { workGrit, type Rung } from './grit'
import { bestLadders } from './ladders'
import { capacityPart, type Medium } from './medium'
import { deepest, freshSurface } from './surface'
import { capacity, scratchLeft, timeToRemove, work, type Pass } from './work'

const wood = (hardness = 5000): Medium => ({ kind: 'wood', hardness: given('hardness', hardness, 'N') })
const pass = (grain: number, medium = wood(), speed = 40): Pass => ({ origin: `${grain} µm`, grain, medium, speed, pressure: 1 })
const rung = (grain: number): Rung => ({ id: String(grain), pass: pass(grain) })
const grains = fc.double({ min: 2, max: 200, noNaN: true })

describe('the scratch model', () => {
  it('takes the handbook’s constants: 0.75 · g on 5 kN wood, scaled with hardness and held', () => {
    expect(capacityPart(wood(5000)).value).toBeCloseTo(0.75, 9)
    expect(capacityPart(wood(20_000)).value).toBe(0.4)
    expect(capacityPart(wood(500)).value).toBe(1.2)
    expect(scratchLeft(pass(100))).toBeCloseTo(30, 9)
    expect(scratchLeft(pass(100, { kind: 'resin' }))).toBeCloseTo(15, 9)
  })

  it('after one time constant has removed 1 − 1/e of its capacity', () => {
    const after = work(freshSurface('tool', 60), pass(100), 15)
    expect(after.removed).toBeCloseTo(75 * (1 - Math.exp(-1)), 9)
    expect(after.scratches).toEqual([
      { origin: 'tool', depth: 60 - after.removed },
      { origin: '100 µm', depth: 30, way: 'around' },
    ])
  })

  it('needs the time that then removes just that depth (property)', () => {
    fc.assert(
      fc.property(grains, fc.double({ min: 0.01, max: 0.98, noNaN: true }), (grain, part) => {
        const depth = part * capacity(pass(grain))
        expect(work(freshSurface('tool', 500), pass(grain), timeToRemove(pass(grain), depth)).removed).toBeCloseTo(depth, 6)
      }),
    )
  })

  it('more time never leaves deeper old scratches; faster never takes longer (property)', () => {
    fc.assert(
      fc.property(
        grains,
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 200, noNaN: true }),
        (grain, depth, seconds) => {
          const old = (time: number) =>
            work(freshSurface('tool', depth), pass(grain), time).scratches.find(scratch => scratch.origin === 'tool')?.depth ?? 0
          expect(old(seconds + 5)).toBeLessThanOrEqual(old(seconds))
          expect(timeToRemove(pass(grain, wood(), 80), depth)).toBeLessThanOrEqual(timeToRemove(pass(grain), depth))
        },
      ),
    )
  })

  it('is dull before it has removed more than its capacity; a second piece goes on', () => {
    expect(timeToRemove(pass(20), 15)).toBe(Infinity)
    expect(workGrit(rung(20), 20, 25).pieces).toBeGreaterThanOrEqual(2)
    expect(workGrit(rung(20), 200, 25)).toMatchObject({ reaches: false, pieces: 1, removes: 0.9 * 15 })
    expect(deepest(work(freshSurface('tool', 1), pass(100), 60))).toBeCloseTo(30, 9)
  })
})

describe('the best ladder', () => {
  const shelf = fc.uniqueArray(fc.integer({ min: 3, max: 150 }), { minLength: 1, maxLength: 9 })
  const problem = (grainsOfShelf: number[], jump: number, overhead = 25) => ({
    from: 30,
    target: 8,
    rungs: grainsOfShelf.map(rung),
    overhead,
    greatestJump: jump,
  })

  /** Every subset, coarse to fine: written apart from the search, to hold against it. */
  function bruteForce(grainsOfShelf: number[], jump: number, overhead: number): number {
    let best = Infinity
    for (let bits = 1; bits < 1 << grainsOfShelf.length; bits++) {
      const chosen = grainsOfShelf.filter((_, index) => (bits >> index) & 1).sort((a, b) => b - a)
      let [total, scratch] = [0, 30]
      for (const [index, grain] of chosen.entries()) {
        const tooFar = index > 0 && chosen[index - 1]! / grain > jump + 1e-9
        const step = workGrit(rung(grain), scratch, overhead)
        total += tooFar || !step.reaches ? Infinity : step.seconds + step.pieces * overhead
        scratch = 0.3 * grain
      }
      if (scratch <= 8 + 1e-9) best = Math.min(best, total)
    }
    return best
  }

  it('equals brute force over all subsets of a small shelf (property)', () => {
    fc.assert(
      fc.property(shelf, fc.constantFrom(1.5, 2, 3, Infinity), fc.integer({ min: 0, max: 60 }), (marks, jump, overhead) => {
        const [best] = bestLadders(problem(marks, jump, overhead))
        expect(best?.seconds ?? Infinity).toBeCloseTo(bruteForce(marks, jump, overhead), 6)
      }),
      { numRuns: 150 },
    )
  })

  it('is never slower for one more abrasive, nor faster for a stricter target (property)', () => {
    fc.assert(
      fc.property(shelf, fc.integer({ min: 3, max: 150 }), fc.integer({ min: 1, max: 8 }), (marks, more, target) => {
        const seconds = (of: number[], goal = 8) => bestLadders({ ...problem(of, 2), target: goal })[0]?.seconds ?? Infinity
        expect(seconds([...new Set([...marks, more])])).toBeLessThanOrEqual(seconds(marks) + 1e-9)
        expect(seconds(marks, target)).toBeGreaterThanOrEqual(seconds(marks) - 1e-9)
      }),
    )
  })

  it('gives the next best too, in order and all different', () => {
    const ladders = bestLadders(problem([100, 68, 46, 35, 26, 22], 2.5), 4)
    const seconds = ladders.map(ladder => ladder.seconds)
    expect(ladders).toHaveLength(4)
    expect([...seconds].sort((a, b) => a - b)).toEqual(seconds)
    expect(new Set(ladders.map(ladder => ladder.steps.map(step => step.rung.id).join()))).toHaveProperty('size', 4)
  })

  it('answers none rather than a ladder that falls short', () => {
    expect(bestLadders(problem([150, 100], Infinity))).toEqual([])
    expect(bestLadders(problem([], 2))).toEqual([])
  })

  /** The mean ratio of neighbours in the best ladder over a dense stock, over so many e-folds of grain. */
  const meanRatio = (folds: number, count: number, change: Partial<Parameters<typeof bestLadders>[0]>) => {
    const stock = Array.from({ length: count + 1 }, (_, index) => Math.exp(folds * (1 - index / count)))
    const [ladder] = bestLadders({
      from: scratchLeft(pass(stock[0]!)),
      target: scratchLeft(pass(stock.at(-1)!)) * 1.0001,
      rungs: stock.map(grain => ({ ...rung(grain), id: String(grain) })),
      overhead: 0,
      greatestJump: Infinity,
      ...change,
    })
    return Math.exp(folds / ladder!.steps.length)
  }
  // Closed form: with continuous grains and time per step c · r plus overhead h, the best ratio solves r (ln r − 1) = h / c.
  it.each([
    [0, 2.718],
    [0.5, 3.181],
    [1, 3.591],
    [2, 4.319],
    [4, 5.572],
  ])('for linear step times and h/c = %d the best ratio is %d', (overhead, ratio) => {
    const linear = (one: Rung, depth: number) => ({
      rung: one,
      seconds: depth / scratchLeft(one.pass),
      pieces: 1,
      times: [],
      removes: depth,
      leaves: scratchLeft(one.pass),
      reaches: true,
    })
    expect(Math.abs(meanRatio(40, 800, { overhead, stepBy: linear }) / ratio - 1)).toBeLessThan(0.035)
  })
  it('with the model’s own step time and one piece a grit the best ratio is near 2 at 20 s of overhead (as the handbook says)', () => {
    const onePiece = (one: Rung, depth: number) => {
      const seconds = timeToRemove(one.pass, depth)
      return Number.isFinite(seconds)
        ? { rung: one, seconds, pieces: 1, times: [seconds], removes: depth, leaves: scratchLeft(one.pass), reaches: true }
        : undefined
    }
    const ratio = meanRatio(12, 600, { overhead: 20, stepBy: onePiece })
    expect(ratio).toBeGreaterThan(1.75)
    expect(ratio).toBeLessThan(2.3)
  })
  it('that goes on from a grit counts the jump from it as well', () => {
    const first = (after?: number) => bestLadders({ ...problem([100, 46, 26], 4), ...(after ? { after } : {}) })[0]!.steps[0]!.rung.id
    expect([first(), first(100), first(120), first(200)]).toEqual(['26', '26', '46', '100'])
  })
})
