import fc from 'fast-check'
import { seesMoney, unpriced } from './unpriced'

it('what was paid, who had it and what bottles cost is left out wherever it stands; all else is as it was (property)', () => {
  const leave = { kind: 'leave', payload: { how: 'sold', price: 4250, place: 'fair', customer: 'c', order: 'o', with: ['box'], words: '' } }
  const comesBack = { kind: 'return', payload: { why: 'given back', paid: 4250, words: '' } }
  const bottle = { left: 4, price: 820 }
  fc.assert(fc.property(fc.jsonValue(), fc.array(fc.string(), { maxLength: 4 }), (other, path) => {
    const deep = (inner: unknown) => path.reduce<unknown>((told, name) => ({ [`_${name}`]: [other, told] }), inner)
    const left = { ...leave.payload, price: null, customer: null, order: null }
    expect(unpriced(deep([leave, { gone: leave.payload }, comesBack, { bottle }]))).toEqual(deep([
      { kind: 'leave', payload: left }, { gone: left }, { kind: 'return', payload: { ...comesBack.payload, paid: null } },
      { bottle: { left: 4 } },
    ]))
  }))
  for (const plain of [null, undefined, 3, 'leave', { kind: 'leave' }, { bottle: null }, { price: 3, how: 'x', asked: 4250 }])
    expect(unpriced(plain)).toEqual(plain)
})
it('makers and owners see money, nobody else', () => {
  expect((['owner', 'maker', 'pupil', 'looker', undefined] as const).map(seesMoney)).toEqual([true, true, false, false, false])
})
