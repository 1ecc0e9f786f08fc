import { given } from '../figures'
import { cutSticks, usualCut } from './cut'
import type { Fitting } from './fitting'
import { surfaceSpeed } from './speed'
import { turnedEnds, turnTo } from './turn'

const source = { mark: 'model' as const }
const twin: Fitting = {
  id: 'twin',
  name: 'two barrels',
  bit: 7,
  source,
  barrels: [
    { id: 'lower', tubeLength: 50, tubeOuter: 7, tipEnd: 8.2, clipEnd: 8.6 },
    { id: 'upper', tubeLength: 55, tubeOuter: 7, tipEnd: 8.6, clipEnd: 8.4 },
  ],
}
const um = (value: number) => given('depth', value, 'µm')

it('surface speed is π · D · n (machinists’ handbook formula: 13 mm at 1000 rev/min is 40.8 m/min)', () => {
  expect(surfaceSpeed(13, 1000)).toBeCloseTo(40.8, 1)
  // The same in inch units, 12 · v / (π · D): 0.5 in at 1000 rev/min is 130.9 ft/min.
  expect(surfaceSpeed(12.7, 1000) / 0.3048).toBeCloseTo(130.9, 1)
})

it('cuts each tube with 1.6 mm at both ends, and one kerf between two pieces (worked by hand)', () => {
  const stick = cutSticks(twin, usualCut(false))
  expect(stick.pieces.map(piece => [piece.barrel, piece.length.value])).toEqual([
    ['lower', 53.2],
    ['upper', 58.2],
  ])
  expect(stick.total.value).toBeCloseTo(53.2 + 58.2 + 1.2, 9)
})

it('leaves more on wood that tears: 4 mm over in all', () => {
  expect(cutSticks(twin, usualCut(true)).pieces[0]!.length.value).toBe(54)
})

it('turn-to is metal + 2 · sanding − 2 · film', () => {
  expect(turnTo(given('metal', 8.2, 'mm'), um(30), um(55)).value).toBeCloseTo(8.2 + 0.06 - 0.11, 9)
})

it('gives every end from the tip to the clip, proud for a thin film and under for a thick one, with its wall', () => {
  const proud = turnedEnds(twin, um(40), um(5))
  const under = turnedEnds(twin, um(20), um(60))
  expect(proud.map(end => `${end.barrel} ${end.end}`)).toEqual(['lower tip', 'lower clip', 'upper tip', 'upper clip'])
  expect(proud.every(end => end.proud > 0)).toBe(true)
  expect(under.every(end => end.proud < 0)).toBe(true)
  // (8.2 − 0.08 − 7) / 2 − 0.02, worked by hand.
  expect(under[0]!.wall.value).toBeCloseTo(0.54, 9)
})
