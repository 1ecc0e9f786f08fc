import fc from 'fast-check'
import { chance } from '../../tests/support/chance'
import { coatsNeeded } from './coats'
import { filmAfter, filmStep, noFilm, thinnest, type FilmStep } from './film'
import type { FilmBuild } from './product'
import { sandThrough } from './risk'
import { coatVolume, dropsOf } from './volume'

const source = { mark: 'model' as const }
const thin: FilmBuild = { build: 8, unevenness: 4, solids: 0.95, source }
const medium: FilmBuild = { build: 25, unevenness: 22, solids: 0.95, source }
const coat = (product: FilmBuild, onTop = 1): FilmStep => ({ kind: 'coat', product, onTop, applicator: 'foam' })

it('adds build, spread and unevenness as the handbook’s model says (worked by hand)', () => {
  const film = filmAfter([coat(thin, 0.7), coat(thin, 0.7), coat(medium)])
  expect(film.mean).toBeCloseTo(5.6 + 5.6 + 25, 9)
  expect(film.sd).toBeCloseTo(Math.sqrt(1.12 ** 2 + 1.12 ** 2 + 5 ** 2), 9)
  expect(film.unevenness).toBeCloseTo(0.6 * Math.sqrt(16 + 16 + 484), 9)
})

it('levelling takes half the unevenness and the grit’s scratches; a finer grit the scratches before it', () => {
  const coated = filmAfter([coat(thin), coat(medium)])
  const levelled = filmStep(coated, { kind: 'level', scratch: 3.87 })
  expect(levelled).toEqual({ mean: coated.mean - coated.unevenness / 2 - 3.87, sd: coated.sd, unevenness: 0 })
  expect(filmStep(levelled, { kind: 'smooth', scratchBefore: 3.87 }).mean).toBeCloseTo(levelled.mean - 3.87, 9)
})

it('the thinnest place holds in 95 of 100 seeded random films, drawn coat by coat apart from the model', () => {
  const { normal } = chance(20261123)
  // As level as it is after a levelling: valleys are no matter of chance.
  const least = thinnest({ ...filmAfter([coat(thin, 0.7), coat(thin, 0.7), coat(thin), coat(thin), coat(medium)]), unevenness: 0 })
  const films = Array.from({ length: 20_000 }, () => [5.6, 5.6, 8, 8, 25].reduce((sum, build) => sum + build * (1 + 0.2 * normal()), 0))
  expect(films.filter(film => film > least).length / films.length).toBeCloseTo(0.95, 2)
})

describe('against a simulation written apart from the model: coats, levelling and polish at 20 000 places', () => {
  // Two thin coats of which 70 % stay, three thin, level with scratches of 4, three thin, level again, then a finer grit; each coat
  // spreads by a fifth, all in µm.
  const plan: FilmStep[] = [
    coat(thin, 0.7),
    coat(thin, 0.7),
    coat(thin),
    { kind: 'level', scratch: 4 },
    coat(thin),
    coat(thin),
    coat(thin),
    { kind: 'level', scratch: 4 },
    { kind: 'smooth', scratchBefore: 4 },
  ]
  const { normal } = chance(7)
  const uneven = (coats: number) => 0.6 * 4 * Math.sqrt(coats)
  const places = Array.from({ length: 20_000 }, () => {
    const first = [5.6, 5.6, 8].reduce((sum, build) => sum + build + 0.2 * build * normal(), 0)
    const second = first - uneven(3) / 2 - 4 + [8, 8, 8].reduce((sum, build) => sum + build + 0.2 * build * normal(), 0)
    return { first, end: second - uneven(3) / 2 - 4 - 4 }
  })
  const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
  const end = filmAfter(plan)

  it('mean, spread and thinnest place agree', () => {
    const ends = places.map(place => place.end)
    expect(mean(ends)).toBeCloseTo(end.mean, 1)
    expect(Math.sqrt(mean(ends.map(value => (value - mean(ends)) ** 2)))).toBeCloseTo(end.sd, 1)
    expect(ends.filter(value => value > thinnest(end)).length / ends.length).toBeCloseTo(0.95, 2)
  })
})

describe('going through to the wood', () => {
  const usual = { wood: 6, over: 1.1 }
  it('is as often as in a simulation of barrels and hands, drawn one by one apart from the model', () => {
    const { normal } = chance(11)
    for (const [mean, sd, takes] of [[19.2, 2.3, 6.5], [50, 4, 18], [28, 3, 20]] as const) {
      const drawn = Array.from({ length: 40_000 }, () => {
        // The film here, laid unevenly; the wood under it, high or low; hands that go on after the shiny spots are gone.
        const film = mean + sd * normal() + 0.12 * mean * normal() + 6 * normal()
        const end = 0.85 * mean + sd * normal() + 0.12 * 0.85 * mean * normal() + 6 * normal()
        const over = 1.1 * Math.exp(0.25 * normal())
        return { open: over * takes > film, end: 1.4 * over * takes > end }
      })
      const part = (which: 'open' | 'end') => drawn.filter(one => one[which]).length / drawn.length
      const { open, edges } = sandThrough({ mean, sd, unevenness: 0 }, takes, usual)
      // Four standard errors of a half.
      expect(Math.abs(open - part('open'))).toBeLessThan(0.01)
      expect(Math.abs(edges - part('end'))).toBeLessThan(0.01)
    }
  })
  // The handbook: a first levelling after three thin coats about one in eight.
  it('a first levelling after three thin coats, two of them soaked in, is a risk of about one in eight at the ends', () => {
    const film = filmAfter([coat(thin, 0.7), coat(thin, 0.7), coat(thin)])
    const takes = film.mean - filmStep(film, { kind: 'level', scratch: 0.15 * 25.8 }).mean
    const { edges, open } = sandThrough(film, takes, usual)
    expect(edges).toBeGreaterThan(1 / 11)
    expect(edges).toBeLessThan(1 / 5)
    expect(open).toBeLessThan(edges / 2)
  })
  it('grows with what is taken, with wood that is not round and with hands that go on, and falls with film (property)', () => {
    const um = fc.double({ min: 5, max: 80, noNaN: true })
    fc.assert(
      fc.property(um, fc.double({ min: 0.5, max: 60, noNaN: true }), fc.double({ min: 2, max: 15, noNaN: true }), (mean, takes, wood) => {
        const risk = (change: { mean?: number, takes?: number, wood?: number, over?: number }) => {
          const now = { mean, takes, wood, over: 1.1, ...change }
          return sandThrough({ mean: now.mean, sd: 3, unevenness: 0 }, now.takes, now)
        }
        const here = risk({})
        expect(risk({ takes: takes + 1 }).edges).toBeGreaterThanOrEqual(here.edges - 1e-9)
        expect(risk({ over: 1.3 }).open).toBeGreaterThanOrEqual(here.open - 1e-9)
        if (here.open < 0.3) expect(risk({ mean: mean + 2 }).open).toBeLessThanOrEqual(here.open + 1e-9)
        if (here.edges < 0.3) expect(risk({ wood: wood + 2 }).edges).toBeGreaterThanOrEqual(here.edges - 1e-9)
        expect(here.edges).toBeGreaterThanOrEqual(here.open - 1e-9)
        expect(risk({ takes: 0 })).toEqual({ open: 0, edges: 0 })
      }),
    )
  })
})

describe('paper that cannot take the unevenness', () => {
  const rough = filmAfter([coat(medium), coat(medium)])
  it('leaves the rest, and takes less of the mean than one that can (simulated: heights lie evenly between valley and peak)', () => {
    const left = filmStep(rough, { kind: 'level', scratch: 0, takes: () => 10 })
    expect(left.unevenness).toBeCloseTo(rough.unevenness - 10, 9)
    const heights = Array.from({ length: 10_001 }, (_, index) => (rough.unevenness * index) / 10_000)
    const cut = heights.reduce((sum, height) => sum + Math.max(0, height - (rough.unevenness - 10)), 0) / heights.length
    expect(rough.mean - left.mean).toBeCloseTo(cut, 2)
  })
  it('what is not levelled is thinnest in its valleys', () => {
    expect(thinnest(rough)).toBeCloseTo(rough.mean - rough.unevenness / 2 - 1.645 * rough.sd, 9)
  })
})

it('cutting a thin coat back may go down to the wood, but takes none of it', () => {
  expect(filmAfter([coat({ ...thin, build: 5, unevenness: 2 }), { kind: 'cut back', scratch: 3.9 }]).mean).toBeCloseTo(5 - 0.6 - 3.9, 9)
  expect(filmAfter([coat({ ...thin, build: 3, unevenness: 2 }), { kind: 'cut back', scratch: 3.9 }])).toEqual(noFilm)
})

it('volume is surface × wet thickness × waste (worked by hand)', () => {
  // 2000 mm² under 25 µm dry from half solids is 100 mm³ wet: 0.1 ml, half as much again stays in the foam, and three times in towel.
  expect(coatVolume(2000, 25, 0.5, 'foam')).toBeCloseTo(0.15, 9)
  expect(coatVolume(2000, 25, 0.5, 'towel')).toBeCloseTo(0.3, 9)
  expect([dropsOf(0.15), dropsOf(0.001)]).toEqual([6, 1])
})

describe('coatsNeeded', () => {
  const steps
    = (onTop: number, level: number) =>
      (count: number): FilmStep[] => [
        ...Array.from({ length: count }, (_, index) => coat(thin, index < 2 ? onTop : 1)),
        { kind: 'level', scratch: level },
      ]

  it('is the fewest that will do (property)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 80 }), fc.double({ min: 0.1, max: 1, noNaN: true }), (target, onTop) => {
        const { coats, film } = coatsNeeded(target, steps(onTop, 4))
        expect(thinnest(film)).toBeGreaterThanOrEqual(target)
        if (coats > 1) expect(thinnest(filmAfter(steps(onTop, 4)(coats - 1)))).toBeLessThan(target)
      }),
    )
  })

  it('grows with the target, with soaking, with unevenness and with what levelling takes (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 60 }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (target, onTop, level) => {
          const { coats } = coatsNeeded(target, steps(onTop, level))
          expect(coatsNeeded(target + 10, steps(onTop, level)).coats).toBeGreaterThanOrEqual(coats)
          expect(coatsNeeded(target, steps(onTop / 2, level)).coats).toBeGreaterThanOrEqual(coats)
          expect(coatsNeeded(target, steps(onTop, level + 3)).coats).toBeGreaterThanOrEqual(coats)
          const rough = (count: number) =>
            steps(
              onTop,
              level,
            )(count).map(step => (step.kind === 'coat' ? { ...step, product: { ...step.product, unevenness: 12 } } : step))
          expect(coatsNeeded(target, rough).coats).toBeGreaterThanOrEqual(coats)
        },
      ),
    )
  })

  it('says when no count tried is enough, rather than going on for ever', () => {
    expect(coatsNeeded(1000, steps(1, 4))).toMatchObject({ coats: 24, enough: false })
    expect(coatsNeeded(10, () => [])).toMatchObject({ film: noFilm, enough: false })
  })
})
