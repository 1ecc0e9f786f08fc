import { methods } from '../reference'
import { errorsOf as errors } from './errors'
import { methodSchema } from './method'
import { bottleSchema } from './workshop'

const { id: _, version: __, source: ___, ...thin } = methods.find(row => row.id === 'ca-thin-first')!

it('takes every method of the reference data', () => {
  for (const { id: _i, version: _v, source: _s, ...settings } of methods) expect(errors(methodSchema, settings)).toEqual({})
})

it.each([
  ['name', { name: '' }, /missing|empty|too short/],
  ['levelling', { levelling: 1 }, /between 2 and 6/],
  ['levelling', { levelling: 'often' }, /Choose one of|one of/],
  ['sheen', { sheen: 'bright' }, /Choose one of/],
  ['polishes', { polishes: 3 }, /Choose one of/],
  ['greatestJump', { greatestJump: 1 }, /between 1.2 and 10/],
  ['speeds.polish', { speeds: { ...thin.speeds, polish: 9000 } }, /between 100 and 5000/],
  ['layers[0].count', { layers: [{ ...thin.layers[0], count: 0 }] }, /between 1 and 30/],
  ['layers[0].count.most', { layers: [{ ...thin.layers[0], count: { least: 4, most: 2 } }] }, /4 or more/],
  ['layers[0].role', { layers: [{ ...thin.layers[0], role: 'varnish' }] }, /Choose one of/],
])('tells at %s what is wrong with %j', (field, change, message) => {
  const found = errors(methodSchema, { ...thin, ...change })
  expect(found[field]).toMatch(message)
})

describe('a bottle', () => {
  it('takes what is known and nothing where it is not', () => {
    expect(errors(bottleSchema, { item: 'thin-ca' })).toEqual({})
    expect(
      errors(bottleSchema, {
        item: 'thin-ca',
        opened: '2026-10-01',
        left: 12.5,
        size: 28,
        keeps: null,
        price: 680,
        sealed: 1,
        label: { 'next coat': { plain: 120, latest: 900 } },
      }),
    ).toEqual({})
  })
  it.each([
    ['item', { item: 'varnish' }, /Choose one of/],
    ['opened', { opened: 'last week' }, /a day like/],
    ['left', { left: -1 }, /between 0 and/],
    ['sealed', { sealed: 1.5 }, /whole number/],
    ['price', { price: 0.5 }, /whole number/],
    ['keeps', { keeps: 0 }, /between 1 and/],
  ])('tells at %s what is wrong', (field, change, message) => {
    expect(errors(bottleSchema, { item: 'thin-ca', ...change })[field]).toMatch(message)
  })
  it('wants a label’s latest after its earliest', () => {
    expect(Object.values(errors(bottleSchema, { item: 'thin-ca', label: { 'next coat': { plain: 900, latest: 120 } } }))[0]).toMatch(
      /latest should come after/,
    )
  })
})
