import fc from 'fast-check'
import { leastFilm, trace } from '#core/plan'
import { materials, methods } from '#reference'
import { methodOf, planFor } from '../../tests/support/inputs'
import { buildSlice } from './section'

const plan = planFor('apple', 'click-8', { method: methodOf('ca-thin-first') })
const traced = trace(plan)

it('stands coat on coat from the wood outward, and says what the next sanding cuts to', () => {
  const last = plan.steps.findLast(step => step.kind === 'coat')!
  const slice = buildSlice(traced, last.id, 40)
  expect(slice.bands.map(band => [band.name, band.coats])).toEqual([
    ['Thin CA', 7],
    ['Medium CA', 1],
  ])
  expect(slice.bands[0]!.seams).toHaveLength(6)
  const level = traced.steps.find(one => one.step.kind === 'level')!
  expect(slice.cut).toBe(level.after.film.mean)
  expect(slice.unevenness).toBe(level.before.film.unevenness)
})

it('is bare wood with its scratches before the first coat, and cuts into the wood while that is sanded', () => {
  const first = plan.steps.find(step => step.kind === 'sand')!
  const slice = buildSlice(traced, first.id, 40)
  expect([slice.bands, slice.top]).toEqual([[], 0])
  expect(slice.scratch).toBeGreaterThan(1)
  expect(slice.cut).toBeLessThan(0)
})

it('without a step it is the end, where nothing more is cut', () => {
  expect(buildSlice(traced, null, 40)).toEqual(buildSlice(traced, 'check', 40))
  expect(buildSlice(traced, null, 40).cut).toBeUndefined()
  expect(buildSlice(traced, 'no such step', 40)).toEqual(buildSlice(traced, null, 40))
})

it('its bands join without a gap up to the top, whatever the method, blank and step (property)', () => {
  fc.assert(
    fc.property(fc.constantFrom(...methods), fc.constantFrom(...materials.map(one => one.id)), fc.nat(60), (method, material, pick) => {
      const other = planFor(material, 'twist-7', { method })
      const step = other.steps[pick % other.steps.length]!
      const { bands, top } = buildSlice(trace(other), step.id, leastFilm(other.inputs).value)
      let height = 0
      for (const band of bands) {
        expect(band.from).toBeCloseTo(height, 9)
        expect(band.to).toBeGreaterThanOrEqual(band.from)
        for (const seam of band.seams) expect([seam >= band.from, seam <= band.to]).toEqual([true, true])
        height = band.to
      }
      expect(height).toBeCloseTo(top, 6)
    }),
    { numRuns: 40 },
  )
})
