import fc from 'fast-check'
import { chance } from '../../tests/support/chance'
import { coatsNeeded } from './coats'
import { filmAfter, filmStep, noFilm, thinnest, type FilmStep } from './film'
import type { FilmBuild } from './product'
import { sandThrough } from './risk'
import { coatVolume, dropsOf } from './volume'

const source = { mark: 'model' as const }
const thin: FilmBuild = { build: 8, unevenness: 4, solids: 0.95, source }
const medium: FilmBuild = { build: 25, unevenness: 14, solids: 0.95, source }
const coat = (product: FilmBuild, onTop = 1): FilmStep => ({ kind: 'coat', product, onTop, applicator: 'foam' })

it('adds build, spread and unevenness as the handbook’s model says (worked by hand)', () => {
  const film = filmAfter([coat(thin, 0.7), coat(thin, 0.7), coat(medium)])
  expect(film.mean).toBeCloseTo(5.6 + 5.6 + 25, 9)
  expect(film.sd).toBeCloseTo(Math.sqrt(1.12 ** 2 + 1.12 ** 2 + 5 ** 2), 9)
  expect(film.unevenness).toBeCloseTo(0.6 * Math.sqrt(16 + 16 + 196), 9)
})

it('levelling takes half the unevenness and the grit’s scratches; a finer grit the scratches before it', () => {
  const coated = filmAfter([coat(thin), coat(medium)])
  const levelled = filmStep(coated, { kind: 'level', scratch: 3.87 })
  expect(levelled).toEqual({ mean: coated.mean - coated.unevenness / 2 - 3.87, sd: coated.sd, unevenness: 0 })
  expect(filmStep(levelled, { kind: 'smooth', scratchBefore: 3.87 }).mean).toBeCloseTo(levelled.mean - 3.87, 9)
})

it('the thinnest place holds in 95 of 100 seeded random films, drawn coat by coat apart from the model', () => {
  const { normal } = chance(20261123)
  const least = thinnest(filmAfter([coat(thin, 0.7), coat(thin, 0.7), coat(thin), coat(thin), coat(medium)]))
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
  it('so does the chance of going through at a levelling that takes nearly all there is', () => {
    const first = filmAfter(plan.slice(0, 3))
    for (const takes of [15, 17, 19, 21]) {
      // Three standard errors of 20 000 drawn places.
      expect(Math.abs(sandThrough(first, takes).open - places.filter(place => place.first < takes).length / places.length)).toBeLessThan(
        0.011,
      )
      expect(sandThrough(first, takes / 2).edges).toBeCloseTo(sandThrough(first, takes).open, 9)
    }
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
