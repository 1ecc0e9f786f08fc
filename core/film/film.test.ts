import fc from 'fast-check'
import { coatsNeeded } from './coats'
import { filmAfter, filmStep, noFilm, thinnest, type FilmStep } from './film'
import type { FilmBuild } from './product'

const source = { mark: 'model' as const }
const thin: FilmBuild = { build: 8, unevenness: 4, source }
const medium: FilmBuild = { build: 25, unevenness: 14, source }
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

/** A small seeded generator of standard normal values, so that the check below is the same every time. */
function normals(seed: number): () => number {
  let state = seed
  const uniform = () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296
    return (state + 0.5) / 4_294_967_296
  }
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform())
}

it('the thinnest place holds in 95 of 100 seeded random films, drawn coat by coat apart from the model', () => {
  const normal = normals(20261123)
  const least = thinnest(filmAfter([coat(thin, 0.7), coat(thin, 0.7), coat(thin), coat(thin), coat(medium)]))
  const films = Array.from({ length: 20_000 }, () => [5.6, 5.6, 8, 8, 25].reduce((sum, build) => sum + build * (1 + 0.2 * normal()), 0))
  expect(films.filter(film => film > least).length / films.length).toBeCloseTo(0.95, 2)
})

describe('coatsNeeded', () => {
  const steps = (onTop: number, level: number) => (count: number): FilmStep[] =>
    [...Array.from({ length: count }, (_, index) => coat(thin, index < 2 ? onTop : 1)), { kind: 'level', scratch: level }]

  it('is the fewest that will do (property)', () => {
    fc.assert(fc.property(fc.integer({ min: 5, max: 80 }), fc.double({ min: 0.1, max: 1, noNaN: true }), (target, onTop) => {
      const { coats, film } = coatsNeeded(target, steps(onTop, 4))
      expect(thinnest(film)).toBeGreaterThanOrEqual(target)
      if (coats > 1) expect(thinnest(filmAfter(steps(onTop, 4)(coats - 1)))).toBeLessThan(target)
    }))
  })

  it('grows with the target, with soaking and with what levelling takes (property)', () => {
    fc.assert(fc.property(fc.integer({ min: 5, max: 60 }), fc.double({ min: 0.1, max: 0.9, noNaN: true }), fc.double({ min: 0, max: 8, noNaN: true }), (target, onTop, level) => {
      const { coats } = coatsNeeded(target, steps(onTop, level))
      expect(coatsNeeded(target + 10, steps(onTop, level)).coats).toBeGreaterThanOrEqual(coats)
      expect(coatsNeeded(target, steps(onTop / 2, level)).coats).toBeGreaterThanOrEqual(coats)
      expect(coatsNeeded(target, steps(onTop, level + 3)).coats).toBeGreaterThanOrEqual(coats)
    }))
  })

  it('says when no count tried is enough, rather than going on for ever', () => {
    expect(coatsNeeded(1000, steps(1, 4))).toMatchObject({ coats: 24, enough: false })
    expect(coatsNeeded(10, () => [])).toMatchObject({ film: noFilm, enough: false })
  })
})
