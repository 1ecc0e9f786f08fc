import fc from 'fast-check'
import { given } from '../figures'
import type { Barrel } from './fitting'
import { barVolume, diameterAt, fattest, profileThrough, slimmest, volumeOf } from './profile'
import { finishedProfile, type Shape } from './shape'
import { massOf, thinnestWall, woodVolumes } from './wall'

const barrel: Barrel = { id: 'only', tubeLength: 60, tubeOuter: 7, tipEnd: 8.4, clipEnd: 11 }
const anyShape: fc.Arbitrary<Shape> = fc.oneof(
  fc.constant<Shape>({ kind: 'straight' }),
  fc.record({
    kind: fc.constantFrom('belly' as const, 'grip' as const, 'tapered' as const),
    bulge: fc.double({ min: -1, max: 4, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('free' as const),
    points: fc.array(
      fc.record({ part: fc.double({ min: 0.01, max: 0.99, noNaN: true }), diameter: fc.double({ min: 7, max: 16, noNaN: true }) }),
      { maxLength: 6 },
    ),
  }),
)

it('is flush with the metal at both ends whatever the shape (property)', () => {
  fc.assert(
    fc.property(anyShape, (shape) => {
      const profile = finishedProfile(barrel, shape)
      expect([diameterAt(profile, 0), diameterAt(profile, 60)]).toEqual([8.4, 11])
    }),
  )
})

it('never swings beyond its points, so its fattest and thinnest places lie on them (property)', () => {
  fc.assert(
    fc.property(anyShape, fc.double({ min: 0, max: 60, noNaN: true }), (shape, at) => {
      const profile = finishedProfile(barrel, shape)
      expect(diameterAt(profile, at)).toBeLessThanOrEqual(fattest(profile).diameter + 1e-9)
      expect(diameterAt(profile, at)).toBeGreaterThanOrEqual(slimmest(profile).diameter - 1e-9)
    }),
  )
})

it('a belly is fattest in the middle, a grip a third from the tip, a taper by its fuller end', () => {
  const place = (kind: 'belly' | 'grip' | 'tapered', of: Barrel) => fattest(finishedProfile(of, { kind, bulge: 3 })).at
  const even = { ...barrel, clipEnd: 8.4 }
  expect([place('belly', even), place('grip', even)]).toEqual([30, 18])
  expect(place('tapered', barrel)).toBeCloseTo(51, 9)
  expect(place('tapered', { ...barrel, tipEnd: 11, clipEnd: 8.4 })).toBeCloseTo(9, 9)
})

it('volume agrees with summing ten thousand slices, written apart (property)', () => {
  fc.assert(
    fc.property(anyShape, (shape) => {
      const profile = finishedProfile(barrel, shape)
      const slices = 10_000
      let sum = 0
      for (let i = 0; i < slices; i++) sum += ((Math.PI / 4) * diameterAt(profile, ((i + 0.5) * 60) / slices) ** 2 * 60) / slices
      expect(Math.abs(volumeOf(profile) - sum) / sum).toBeLessThan(1e-5)
    }),
    { numRuns: 40 },
  )
})

it('a straight barrel is the frustum of the school book: π · h / 12 · (D² + D d + d²)', () => {
  const profile = finishedProfile(barrel, { kind: 'straight' })
  expect(volumeOf(profile)).toBeCloseTo(((Math.PI * 60) / 12) * (11 ** 2 + 11 * 8.4 + 8.4 ** 2), 6)
  expect(
    volumeOf(
      profileThrough([
        { at: 0, diameter: 10 },
        { at: 50, diameter: 10 },
      ]),
    ),
  ).toBeCloseTo(barVolume(10, 50), 9)
})

describe('wall', () => {
  const film = given('film', 50, 'µm')
  it('is thinnest where the barrel is, less the film: (8.4 − 0.1 − 7) / 2 (worked by hand)', () => {
    const { wall, at } = thinnestWall({ mark: 'model' }, barrel, finishedProfile(barrel, { kind: 'belly', bulge: 0.5 }), film)
    expect([wall.value, at]).toEqual([expect.closeTo(0.65, 9), 0])
  })
  it('moves to the waist of a waisted barrel', () => {
    const { wall, at } = thinnestWall(
      { mark: 'model' },
      { ...barrel, clipEnd: 8.4 },
      finishedProfile({ ...barrel, clipEnd: 8.4 }, { kind: 'belly', bulge: -1 }),
      film,
    )
    expect([wall.value, at]).toEqual([expect.closeTo(0.15, 9), 30])
  })
  it('wood kept and wood turned away make up the blanks; a gram is a thousand cubic millimetres of water', () => {
    const fitting = { id: 'f', name: 'f', bit: 7, barrels: [barrel], source: { mark: 'model' as const } }
    const { kept, away } = woodVolumes(fitting, [finishedProfile(barrel, { kind: 'straight' })], 0, 19, [63.2])
    expect(kept + away).toBeCloseTo(19 * 19 * 63.2, 6)
    expect(kept).toBeCloseTo(((Math.PI * 60) / 12) * (11 ** 2 + 11 * 8.4 + 8.4 ** 2) - (Math.PI / 4) * 49 * 60, 6)
    expect(massOf(1000, 1000)).toBe(1)
  })
})
