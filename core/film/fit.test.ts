import fc from 'fast-check'
import MultivariateLinearRegression from 'ml-regression-multivariate-linear'
import { chance } from '../../tests/support/chance'
import { BUILD_SPREAD, CALLIPER_ERROR, fitBuild, type Growth } from './fit'

const defaults = { thin: 8, medium: 25 }
const growth = (id: string, coats: Growth['coats'], value: number, places = 3): Growth => ({ id, coats, growth: value, places })

/** Standard deviation of a growth, µm: two readings halved to the radius, over the places; each coat a fifth of its default. */
const deviation = (coats: Growth['coats'], places: number, calliper = CALLIPER_ERROR): number =>
  Math.sqrt(
    (2 * (calliper * 500) ** 2) / places
    + Object.entries(coats).reduce((sum, [name, count]) => sum + count * (0.2 * defaults[name as keyof typeof defaults]) ** 2, 0),
  )

it('without measurements it is the default, with two fifths of spread', () => {
  const { products } = fitBuild([], defaults)
  expect(products.thin).toMatchObject({ build: 8, weight: 0, measurements: 0 })
  expect(products.thin!.high).toBeCloseTo(8 + 1.645 * BUILD_SPREAD * 8, 9)
})

it('is the weighted least squares of a general statistics package, the defaults taken as rows beside the measurements '
  + '(ml-regression-multivariate-linear)', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.record({
          thin: fc.integer({ min: 0, max: 6 }),
          medium: fc.integer({ min: 0, max: 3 }),
          off: fc.double({ min: -3, max: 3, noNaN: true }),
          places: fc.integer({ min: 1, max: 6 }),
        }),
        { minLength: 2, maxLength: 8 },
      ),
      (rows) => {
        const growths = rows
          .filter(row => row.thin + row.medium > 0)
          .map((row, index) =>
            growth(String(index), { thin: row.thin, medium: row.medium }, 9 * row.thin + 24 * row.medium + row.off, row.places),
          )
        const { products, setAside } = fitBuild(growths, defaults)
        fc.pre(setAside.length === 0)
        const weighted = growths.map((one) => {
          const sd = deviation(one.coats, one.places)
          return { x: [one.coats.thin! / sd, one.coats.medium! / sd], y: [one.growth / sd] }
        })
        const prior = [
          { x: [1 / (0.4 * 8), 0], y: [1 / 0.4] },
          { x: [0, 1 / (0.4 * 25)], y: [1 / 0.4] },
        ]
        const all = [...weighted, ...prior]
        const outside = new MultivariateLinearRegression(
          all.map(row => row.x),
          all.map(row => row.y),
          { intercept: false, statistics: false },
        )
        expect(products.thin!.build).toBeCloseTo(outside.weights[0]![0]!, 6)
        expect(products.medium!.build).toBeCloseTo(outside.weights[1]![0]!, 6)
      },
    ),
    { numRuns: 60 },
  )
})

it('is pulled to the default while measurements are few, and leaves it as they come in', () => {
  const fit = (count: number) =>
    fitBuild(
      Array.from({ length: count }, (_, index) => growth(String(index), { thin: 4 }, 40)),
      defaults,
    ).products.thin!
  expect(fit(1).build).toBeGreaterThan(8)
  expect(fit(1).build).toBeLessThan(fit(4).build)
  expect(fit(20).build).toBeCloseTo(10, 0)
  expect(fit(20).high - fit(20).low).toBeLessThan(fit(1).high - fit(1).low)
  expect(fit(20).weight).toBeGreaterThan(0.95)
})

it('sets a slip aside and names it, and goes on without it', () => {
  const sound = [1, 2, 3, 4].map(n => growth(`sound ${n}`, { thin: 5 }, 45 + n))
  const { products, setAside } = fitBuild([...sound, growth('slip', { thin: 5 }, 500)], defaults)
  expect(setAside).toEqual([{ id: 'slip', deviations: expect.any(Number) as number }])
  expect(products.thin).toEqual(fitBuild(sound, defaults).products.thin)
  expect(products.thin!.measurements).toBe(4)
})

it('a single reading that no coat could make is set aside too, and what it does not know is ignored', () => {
  expect(fitBuild([growth('slip', { thin: 2 }, 400)], defaults)).toMatchObject({
    setAside: [{ id: 'slip' }],
    products: { thin: { build: 8 } },
  })
  expect(fitBuild([growth('x', { lacquer: 2 }, 20), growth('none', {}, 3)], defaults)).toMatchObject({
    setAside: [],
    products: { thin: { build: 8 } },
  })
})

it('its interval holds the true build about nine times in ten, in seeded turners drawn from its own assumptions', () => {
  const { normal, uniform } = chance(20261124)
  let held = 0
  const turners = 800
  for (let turner = 0; turner < turners; turner++) {
    const truth = 8 * Math.max(0.1, 1 + BUILD_SPREAD * normal())
    const growths = Array.from({ length: 1 + Math.floor(uniform() * 4) }, (_, index) =>
      growth(String(index), { thin: 3 }, 3 * truth + deviation({ thin: 3 }, 3) * normal()),
    )
    const { low, high } = fitBuild(growths, defaults).products.thin!
    if (truth >= low && truth <= high) held++
  }
  expect(held / turners).toBeGreaterThan(0.86)
  expect(held / turners).toBeLessThan(0.95)
})

it('readings that say a coat takes film away leave it a tenth of the default, in its own range (property)', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: -400, max: 400, noNaN: true }), { minLength: 1, maxLength: 8 }), (wild) => {
      const growths = wild.map((growth, index): Growth => ({ id: `${index}`, coats: { thin: 1 }, growth, places: 1 }))
      const { build, low, high } = fitBuild(growths, { thin: 8 }).products.thin!
      expect(build).toBeGreaterThanOrEqual(0.8)
      expect(low).toBeGreaterThanOrEqual(0)
      expect(low).toBeLessThanOrEqual(build)
      expect(high).toBeGreaterThanOrEqual(build)
    }),
  )
  const away = Array.from({ length: 9 }, (_, index): Growth => ({ id: `${index}`, coats: { thin: 1 }, growth: -60, places: 1 }))
  expect(fitBuild(away, { thin: 8 }).products.thin!.build).toBeCloseTo(0.8, 10)
})
