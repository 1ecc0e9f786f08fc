import { materialOf } from './blank-material'

const of = (change: Partial<Parameters<typeof materialOf>[0]>) =>
  materialOf({ id: 'b1', material: null, species: null, classes: [], ...change })

it('a known material keeps its name and hardness; classes of the blank stand above its own', () => {
  expect(of({ material: 'apple' })).toMatchObject({ id: 'apple', name: 'Apple', hardness: { value: 7700 }, classes: ['close-grained'] })
  expect(of({ material: 'apple', classes: ['soft', 'figured'] })).toMatchObject({ name: 'Apple', classes: ['soft', 'figured'] })
})
it('one of the turner’s own goes by its name, an unknown one says that it is not known', () => {
  expect(of({ species: 'Wild service', classes: ['open-pored'] })).toMatchObject({
    id: 'blank-b1',
    name: 'Wild service',
    classes: ['open-pored'],
  })
  expect(of({})).toMatchObject({ name: 'Wood, not known', classes: [] })
  expect(of({ classes: ['resin'] }).name).toBe('Resin, not known')
  expect(of({ classes: ['resin'] }).colour).not.toBe(of({}).colour)
})
