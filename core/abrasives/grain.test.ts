import { AbrasiveError, abrasiveName, grainFigure, grainSize } from './grain'

// [mem] of FEPA 43-1 / ISO 6344: mean or median grain size of P grades, µm.
const FEPA: [number, number][] = [
  [80, 201],
  [100, 162],
  [120, 125],
  [150, 100],
  [180, 82],
  [220, 68],
  [240, 58.5],
  [280, 52.2],
  [320, 46.2],
  [360, 40.5],
  [400, 35.0],
  [500, 30.2],
  [600, 25.8],
  [800, 21.8],
  [1000, 18.3],
  [1200, 15.3],
  [1500, 12.6],
  [2000, 10.3],
  [2500, 8.4],
]
// [mem] of ANSI B74.18: CAMI grades, µm.
const CAMI: [number, number][] = [
  [80, 190],
  [100, 140],
  [120, 115],
  [150, 92],
  [180, 82],
  [220, 68],
  [240, 53.0],
  [320, 36.0],
  [400, 23.0],
  [600, 16.0],
  [800, 12.2],
  [1000, 9.2],
]

it.each(FEPA)('P%d is %d µm', (mark, um) => expect(grainSize('P', mark)).toBe(um))
it.each(CAMI)('CAMI %d is %d µm', (mark, um) => expect(grainSize('CAMI', mark)).toBe(um))

it('shows the trap: the first pad is coarser than P1500 paper, and even than P600', () => {
  expect(grainSize('pad', 1500)).toBeGreaterThan(grainSize('P', 600))
  expect(grainSize('pad', 1500)).toBeCloseTo(grainSize('P', 500), 0)
})

it('a film marked in µm is its own size, and a typed “P320” counts as 320', () => {
  expect(grainSize('micron', 9)).toBe(9)
  expect(grainSize('P', 'P320')).toBe(46.2)
})

it('names the nearest marks when there is no such one', () => {
  expect(() => grainSize('P', 700)).toThrow('The P scale has no 700. Nearest: 600 and 800.')
  expect(() => grainSize('pad', -1)).toThrow(AbrasiveError)
  expect(() => grainSize('micron', Number.NaN)).toThrow(AbrasiveError)
})

it('keeps the number’s source with it', () => {
  expect(grainFigure({ scale: 'P', mark: 600 })).toMatchObject({ value: 25.8, unit: 'µm', origin: 'published', mark: 'pub' })
  expect(grainFigure({ scale: 'pad', mark: 4000 })).toMatchObject({ value: 5, origin: 'default', mark: 'mem' })
  expect(abrasiveName({ scale: 'micron', mark: 9 })).toBe('film 9 µm')
})
