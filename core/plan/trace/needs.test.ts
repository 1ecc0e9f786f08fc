import { surfaceOf } from '../../barrel'
import { methodOf, planFor, usualShelf } from '../../../tests/support/inputs'
import type { Shelf } from '../../shelf'
import { isKind } from '../model'
import { shortages, trace } from '.'

const withBottle = (bottle: object, film: object = {}): Shelf => ({
  ...usualShelf,
  products: usualShelf.products.map(one => (one.id === 'medium-ca' ? { ...one, film: { ...one.film!, ...film }, bottle } : one)),
})
const plan = (shelf: Shelf, fitting = 'click-8') => planFor('apple', fitting, { method: methodOf('ca-medium-only'), shelf })
const needOf = (shelf: Shelf, fitting?: string) => trace(plan(shelf, fitting)).needs.find(one => one.product.id === 'medium-ca')!

it('a bottle is asked for surface × wet thickness × waste: half the solids, twice the volume', () => {
  const full = needOf(withBottle({}, { solids: 1 }))
  const { size, steps } = trace(plan(withBottle({}, { solids: 1 })))
  const coats = steps.map(one => one.step).filter(isKind('coat')).length
  const surface = size.barrels.reduce((sum, one) => sum + surfaceOf(one.finished), 0)
  const { build } = usualShelf.products.find(one => one.id === 'medium-ca')!.film!
  // Closed-cell foam holds back half as much again as it lays down [model].
  expect(full.volume.value).toBeCloseTo(((coats * surface * build) / 1e6) * 1.5, 6)
  expect(full.coats).toBe(coats)
  expect(full.drops).toBe(Math.ceil(full.volume.value / 0.025))
  expect(needOf(withBottle({}, { solids: 0.5 })).volume.value).toBeCloseTo(2 * full.volume.value, 9)
})
it('two barrels take what both have of surface', () => {
  const { size } = trace(plan(usualShelf, 'twist-7'))
  const two = needOf(usualShelf, 'twist-7').volume.value
  const surfaces = size.barrels.map(one => surfaceOf(one.finished))
  const coats = plan(usualShelf, 'twist-7').steps.filter(isKind('coat')).length
  const { build, solids } = usualShelf.products.find(one => one.id === 'medium-ca')!.film!
  expect(two).toBeCloseTo((((coats * build) / solids / 1e6) * (surfaces[0]! + surfaces[1]!)) * 1.5, 6)
})
it('it costs its part of the bottle; without a price or a size nothing is said', () => {
  const one = needOf(withBottle({ price: 900, size: 30 }))
  expect(one.cost!.value).toBeCloseTo((one.volume.value * 900) / 30, 9)
  expect(needOf(withBottle({ price: 0, size: 30 })).cost!.value).toBe(0)
  expect(needOf(withBottle({ price: 900 })).cost).toBeUndefined()
  expect(needOf(withBottle({ size: 30 })).cost).toBeUndefined()
})
it('what the open bottle has less than is needed is short, with how many are sealed; unknown is not short', () => {
  const short = (bottle: object) => shortages(trace(plan(withBottle(bottle))).needs)
  const { volume } = needOf(withBottle({}))
  expect(short({})).toEqual([])
  expect(short({ left: volume.value })).toEqual([])
  const [found] = short({ left: volume.value / 4, sealed: 2 })
  expect(found).toMatchObject({ product: { id: 'medium-ca' }, sealed: 2 })
  expect(found!.short).toBeCloseTo(0.75 * volume.value, 9)
  expect(short({ left: 0 })[0]!.sealed).toBe(0)
})
