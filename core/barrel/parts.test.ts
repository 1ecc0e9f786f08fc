import type { Fitting } from './fitting'
import { partsCheck } from './parts'

const fitting: Fitting = {
  id: 'f',
  name: 'different tubes',
  bit: 7,
  source: { mark: 'model' },
  barrels: [
    { id: 'lower', tubeLength: 40, tubeOuter: 6.9, tipEnd: 8, clipEnd: 8 },
    { id: 'upper', tubeLength: 60, tubeOuter: 9.4, bit: 9.5, tipEnd: 11, clipEnd: 11 },
  ],
}

it('all there: one line for the set, one for each bit, one for the bushings; 3/8 in counts as 9.5 mm', () => {
  const lines = partsCheck(fitting, {
    bits: [
      { diameter: 7, count: 1 },
      { diameter: 9.525, count: 2 },
    ],
    sets: 1,
    bushings: 'there',
  })
  expect(lines.map(line => [line.what, line.state])).toEqual([
    ['set', 'there'],
    ['bit', 'there'],
    ['bit', 'there'],
    ['bushings', 'there'],
  ])
})
it('tells how many sets are short for several pens', () => {
  const set = (sets: number, pens: number) => partsCheck(fitting, { bits: [], sets, bushings: 'there' }, pens)[0]!
  expect(set(5, 5)).toMatchObject({ state: 'there', says: '5 sets of this fitting on the shelf' })
  expect(set(5, 10)).toMatchObject({
    state: 'missing',
    says: '5 sets of this fitting on the shelf, for 10 pens',
    remedy: 'Count them on the shelf, or order 5 before you cut.',
  })
  expect(set(0, 2).remedy).toBe('Count them on the shelf, or order 2 before you cut.')
})
it('names what is missing and what would do instead', () => {
  const lines = partsCheck(fitting, {
    bits: [
      { diameter: 7.1, count: 1 },
      { diameter: 9.5, count: 0 },
      { diameter: 12, count: 3 },
    ],
    sets: 0,
    bushings: 'not known',
  })
  expect(lines.map(line => line.state)).toEqual(['missing', 'missing', 'missing', 'not known'])
  expect(lines[1]!.remedy).toMatch(/7\.1 mm bit there leaves 0\.2 mm of play round the tube: it will do/)
  expect(lines[2]!.remedy).toMatch(/No other bit there suits the tube/)
  expect(partsCheck(fitting, { bits: [], sets: 2, bushings: 'missing' }).at(-1)!.remedy).toMatch(/between centres/)
})
