import { inputs, usualShelf, without, methodOf } from '../../../tests/support/inputs'
import type { MaterialClass } from '../../shelf'
import { cleaning, mayWipeWet, toTry } from './cleaning'

const blank = (...classes: MaterialClass[]) => ({ ...inputs('unknown').material, classes })
const how = (classes: MaterialClass[], shelf = usualShelf) => cleaning({ ...inputs('unknown'), material: blank(...classes), shelf })

// Common practice without source: oil is wiped off with alcohol, and nothing wet goes over colour that can run or over a joint.
it.each<[MaterialClass[], ReturnType<typeof cleaning>]>([
  [['close-grained'], 'blow'],
  [['oily'], 'alcohol'],
  [['oily', 'bleeding'], 'blow'],
  [['oily', 'laminated'], 'blow'],
  [['laminated'], 'blow'],
  [['bleeding'], 'blow'],
  [['resin'], 'rinse'],
  [['resin', 'laminated'], 'rinse'],
])('%j is cleaned: %s [trade]', (classes, expected) => expect(how(classes)).toBe(expected))

it('without alcohol an oily wood is blown off', () => expect(how(['oily'], without('alcohol'))).toBe('blow'))

it('a wet wipe never goes over a joint, nor over a wood that bleeds [trade]', () => {
  expect([['laminated'], ['bleeding'], ['hybrid']].map(classes => mayWipeWet(blank(...(classes as MaterialClass[]))))).toEqual([
    false, false, false,
  ])
  expect([['oily'], ['close-grained'], ['resin']].map(classes => mayWipeWet(blank(...(classes as MaterialClass[]))))).toEqual([
    true, true, true,
  ])
})

it('a solvent is tried on an offcut of what has resin in it, once each, and not where the method is wanted as it stands', () => {
  const tried = (material: string, asItStands = false) =>
    toTry({
      ...inputs(material),
      method: methodOf('spray-lacquer'),
      wishes: { tool: 'skew', film: 'gloss', asItStands },
    }).map(product => product.setsBy)
  expect(tried('green-resin')).toEqual(['solvent'])
  expect(tried('apple')).toEqual([])
  expect(tried('green-resin', true)).toEqual([])
})
