import { eventAt } from '../../tests/support/inputs'
import { entryWords, fieldOf, withField } from './refused-entry'

const reading = eventAt(1, 1, { kind: 'measure', payload: { barrel: 'upper', fromTip: 0, diameter: 88, step: 'turn' } })

it('finds what stands in the field that was refused, and only what somebody could put right', () => {
  expect(fieldOf(reading, 'payload.diameter')).toBe(88)
  expect(fieldOf(reading, 'payload.step')).toBe('turn')
  const not = ['pen', 'id', 'payload', 'payload.none.deeper', '']
  expect(not.map(field => fieldOf(reading, field))).toEqual(not.map(() => undefined))
})

it('puts another figure in its place and leaves all else', () => {
  expect(withField(reading, 'payload.diameter', ' 8,8 ')).toEqual({ ...reading, payload: { ...reading.payload, diameter: 8.8 } })
  expect(withField(reading, 'payload.step', 'check')).toEqual({ ...reading, payload: { ...reading.payload, step: 'check' } })
  expect([withField(reading, 'payload.diameter', 'thick'), withField(reading, 'payload.diameter', '')]).toEqual([undefined, undefined])
})

it('says what kind of entry it is', () => {
  expect(entryWords(reading)).toBe('A diameter')
})
