import fc from 'fast-check'
import { fittings, materials } from '../reference'
import { blankSchema, bitSchema, errorsOf, penChangeSchema, readingSchema, shelfFittingSchema } from './index'
import { eventSchema } from './event'
import { eventAt, idOf } from '../tests/support/inputs'

const { id: _id, source: _source, ...twist } = fittings[0]!
const fitting = { ...twist, sets: 2, bushings: 'there' }
const blank = {
  name: 'Bough',
  material: 'apple',
  species: null,
  classes: [],
  origin: null,
  width: 19,
  height: 19,
  length: 130,
  count: 1,
  damp: false,
  photo: null,
}

it('takes every fitting that a new workshop begins with', () => {
  for (const { id, source, ...body } of fittings)
    expect({ [id]: errorsOf(shelfFittingSchema, { ...body, sets: 0, bushings: 'not known' }), source: source.mark }).toEqual({
      [id]: {},
      source: 'model',
    })
})

it.each<[string, object, string]>([
  ['a negative tube', { tubeLength: -52 }, 'barrels[0].tubeLength'],
  ['no tube', { tubeLength: 0 }, 'barrels[0].tubeLength'],
  ['a pen of 3 m', { tubeLength: 3000 }, 'barrels[0].tubeLength'],
  ['metal inside the tube', { clipEnd: 6.5 }, 'barrels[0].clipEnd'],
  ['a bushing smaller than the tube', { bushings: { tip: 5 } }, 'barrels[0].bushings.tip'],
  ['a bore wider than glue fills', { bit: 14 }, 'barrels[0].bit'],
  ['text for a number', { tipEnd: 'wide' }, 'barrels[0].tipEnd'],
  ['what is no number', { tipEnd: Number.NaN }, 'barrels[0].tipEnd'],
])('%s is told at its field', (_, change, field) => {
  const errors = errorsOf(shelfFittingSchema, { ...fitting, barrels: [{ ...twist.barrels[0]!, ...change }, twist.barrels[1]] })
  expect(Object.keys(errors)).toContain(field)
  expect(errors[field]).toMatch(/Should|should|more than|inside|play|does not go/)
})

it('wants its barrels by their right names and number', () => {
  expect(errorsOf(shelfFittingSchema, { ...fitting, barrels: [twist.barrels[1], twist.barrels[0]] })).toHaveProperty('barrels')
  expect(errorsOf(shelfFittingSchema, { ...fitting, barrels: [] })).toHaveProperty('barrels')
  expect(errorsOf(shelfFittingSchema, { ...fitting, sets: -1 })).toHaveProperty('sets')
})

it('a blank may be wholly unknown, but not impossible', () => {
  expect(errorsOf(blankSchema, { ...blank, material: null, width: null, height: null, length: null })).toEqual({})
  expect(
    Object.keys(
      errorsOf(blankSchema, { ...blank, name: '', width: -1, length: 9000, count: 1.5, material: 'marble', classes: ['hard'] }),
    ).sort(),
  ).toEqual(['classes[0]', 'count', 'length', 'material', 'name', 'width'])
  expect(errorsOf(blankSchema, { ...blank, origin: 'By the gate.\nOld.' })).toEqual({})
  expect(errorsOf(blankSchema, { ...blank, width: 301 })).toHaveProperty('width')
  expect(errorsOf(blankSchema, { ...blank, width: 301, board: true })).toEqual({})
  expect(errorsOf(blankSchema, { ...blank, board: true, cutFrom: idOf(1) })).toHaveProperty('cutFrom')
  expect(errorsOf(blankSchema, { ...blank, origin: 'a\u0000b' })).toHaveProperty('origin')
})

it('a reading is a weight or a percentage, never both and never neither', () => {
  const at = '2026-11-20T08:00:00.000Z'
  expect(errorsOf(readingSchema, { id: idOf(1), at, grams: 41 })).toEqual({})
  expect(errorsOf(readingSchema, { id: idOf(1), at, percent: 12 })).toEqual({})
  for (const wrong of [{}, { grams: 1, percent: 1 }, { grams: 0 }, { percent: 200 }])
    expect(Object.keys(errorsOf(readingSchema, { id: idOf(1), at, ...wrong })).length).toBeGreaterThan(0)
  expect(errorsOf(bitSchema, { diameter: 0, count: -1, there: true })).toMatchObject({
    diameter: expect.any(String),
    count: expect.any(String),
  })
})

it('a pen is sized by known shapes with sensible figures', () => {
  const sized = (sizing: unknown) => errorsOf(penChangeSchema, { version: 1, sizing })
  expect(
    sized({
      shapes: { lower: { kind: 'straight' }, upper: { kind: 'free', points: [{ part: 0.5, diameter: 12 }] } },
      ends: [{ barrel: 'lower', end: 'tip', diameter: 8 }],
      glue: 'epoxy',
    }),
  ).toEqual({})
  expect(Object.keys(sized({ shapes: { lower: { kind: 'cube' } } }))).toEqual(['sizing.shapes.lower'])
  expect(Object.keys(sized({ shapes: { lower: { kind: 'belly', bulge: 90 } } }))).toEqual(['sizing.shapes.lower.bulge'])
  expect(Object.keys(sized({ shapes: { only: { kind: 'free', points: [{ part: 1.5, diameter: 0 }] } } })).sort()).toEqual([
    'sizing.shapes.only.points[0].diameter',
    'sizing.shapes.only.points[0].part',
  ])
  expect(Object.keys(sized({ ends: [{ barrel: 'lower', end: 'tip', diameter: 400 }] }))).toEqual(['sizing.ends[0].diameter'])
})

it('what is entered in the preparation is checked by its kind', () => {
  const of = (entry: Parameters<typeof eventAt>[2]) => errorsOf(eventSchema, eventAt(0, 1, entry))
  expect(of({ kind: 'check', payload: { step: 'drill', check: 'centred', answer: 'no' } })).toEqual({})
  expect(of({ kind: 'measure', payload: { barrel: 'lower', fromTip: 0, diameter: 8.4, step: 'turn' } })).toEqual({})
  expect(of({ kind: 'repair', payload: { defect: idOf(2), way: 'new blank', step: null } })).toEqual({})
  expect(of({ kind: 'measure', payload: { barrel: 'lower', fromTip: -1, diameter: 0, step: 'turn' } })).toMatchObject({
    'payload.fromTip': expect.any(String),
    'payload.diameter': expect.any(String),
  })
  expect(of({ kind: 'repair', payload: { defect: idOf(2), way: 'hope' as never, step: null } })).toHaveProperty(['payload.way'])
})

it('answers junk with errors and nothing else (property)', () => {
  fc.assert(
    fc.property(fc.anything(), (junk) => {
      for (const schema of [shelfFittingSchema, blankSchema, readingSchema, bitSchema])
        expect(Object.keys(errorsOf(schema, junk)).length).toBeGreaterThan(0)
    }),
  )
})

it('every material of the reference can be a blank’s', () => {
  for (const { id } of materials) expect(errorsOf(blankSchema, { ...blank, material: id })).toEqual({})
})
