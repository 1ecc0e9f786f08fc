import fc from 'fast-check'
import { ValidationError } from 'yup'
import { materials } from '../reference'
import { eventAt, planFor } from '../tests/support/inputs'
import { errorsOf as errors } from './errors'
import { eventBatchSchema, eventSchema } from './event'
import { newPenSchema, type NewPen } from './pen'
import { asPlan } from './plan'
import { workshopSchema } from './workshop'

const pen: NewPen = {
  mark: 'C2',
  name: 'Damson',
  reason: null,
  due: '2026-12-05',
  fitting: 'twist-7',
  material: 'damson',
  method: 'ca-thin-first',
  tool: 'skew',
  film: 'gloss',
}

it('takes a proper pen', () => expect(errors(newPenSchema, pen)).toEqual({}))

it.each([
  ['mark', 'c2', /capital letter and a number/],
  ['mark', '', /capital letter|missing/],
  ['mark', 12, /string/],
  ['name', '', /missing|empty|too short/],
  ['name', 'a\nb', /one line/],
  ['name', 'x'.repeat(81), /80 letters are the most/],
  ['fitting', '', /missing|empty|too short/],
  ['material', null, /Choose one of|missing/],
  ['due', '2026-02-31', /a day like/],
  ['due', 'soon', /a day like/],
  ['tool', 'axe', /Choose one of/],
])('tells what is wrong with %s %p and what would do', (field, value, message) => {
  const found = errors(newPenSchema, { ...pen, [field]: value })
  expect(Object.keys(found)).toEqual([field])
  expect(found[field]).toMatch(message)
})

it('tells of every field at once, and refuses what it does not know', () => {
  expect(Object.keys(errors(newPenSchema, {})).sort()).toEqual(['film', 'fitting', 'mark', 'material', 'method', 'name', 'tool'])
  expect(Object.values(errors(newPenSchema, { ...pen, colour: 'red' }))[0]).toMatch(/not known: colour/)
})

it('checks a payload by the kind of its entry', () => {
  const done = eventAt(0, 1, { kind: 'done', payload: { step: 'cut' } })
  expect(errors(eventSchema, done)).toEqual({})
  expect(errors(eventSchema, { ...done, payload: {} })).toEqual({ 'payload.step': 'Is missing: fill it in.' })
  expect(errors(eventSchema, { ...done, kind: 'defect' })).toHaveProperty(['payload.kind'])
  expect(errors(eventSchema, { ...done, kind: 'dance' })).toHaveProperty('kind')
  expect(errors(eventSchema, { ...done, at: '2026-11-23 19:42' })).toHaveProperty('at')
  expect(errors(eventSchema, { ...done, id: done.id.replace(/1$/, 'A') })).toHaveProperty('id')
  expect(errors(eventBatchSchema, { events: [] })).toHaveProperty('events')
})

it('wants a whole workshop with sensible air', () => {
  expect(errors(workshopSchema, { version: 1, air: { celsius: 20, humidity: 55 }, units: 'metric' })).toEqual({})
  expect(errors(workshopSchema, { version: 1, units: 'metric' })).toEqual({})
  expect(errors(workshopSchema, { version: 1, air: { celsius: 200, humidity: 0 }, units: 'metric' })).toEqual({
    'air.celsius': 'Should lie between -10 and 50 °C.',
    'air.humidity': 'Should lie between 1 and 100 %.',
  })
})

it('takes every plan that is made, unchanged through JSON', () => {
  for (const { id } of materials) {
    const plan = planFor(id)
    expect(asPlan(JSON.parse(JSON.stringify(plan)))).toEqual(plan)
  }
})

it('refuses a plan with an unknown step or a stray field', () => {
  const plan = planFor()
  expect(() => asPlan({ ...plan, steps: [...plan.steps, { id: 'x', phase: 'coat', kind: 'dance', barrels: ['only'] }] })).toThrow(
    ValidationError,
  )
  expect(() => asPlan({ ...plan, total: 3 })).toThrow(/not known: total/)
})

it('answers junk with errors and nothing else (property)', () => {
  fc.assert(
    fc.property(fc.anything(), (junk) => {
      for (const schema of [newPenSchema, eventBatchSchema, workshopSchema])
        expect(Object.keys(errors(schema, junk)).length).toBeGreaterThan(0)
    }),
  )
})
