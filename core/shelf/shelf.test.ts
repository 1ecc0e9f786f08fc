import { inputs, usualShelf } from '../../tests/support/inputs'
import { products } from '../../reference'
import { must, nth } from '../sure'
import {
  bleeds,
  closeGrained,
  coarserThan,
  coarsestGrain,
  density,
  grainOf,
  hasJoint,
  hasResin,
  inTurn,
  isCa,
  isCoatProduct,
  isFigured,
  isOily,
  isResin,
  isSoft,
  keepsUntil,
  levels,
  mediumOf,
  openPored,
  planBlank,
  productFor,
  sandingClass,
  sandsWet,
  soakOnTop,
  tears,
  thinnestSide,
  type Material,
  type MaterialClass,
  type Product,
} from '.'

const blank = (...classes: MaterialClass[]): Material => {
  const { hardness: _, density: __, ...unknown } = inputs('unknown').material
  return { ...unknown, classes }
}
const abrasive = (id: string) => usualShelf.abrasives.find(one => one.id === id)!

describe('traits follow from the classes of a blank [trade]', () => {
  const traits = { isResin, hasResin, closeGrained, isOily, bleeds, openPored, isSoft, hasJoint, isFigured, tears }
  it.each<[MaterialClass[], (keyof typeof traits)[]]>([
    [[], ['closeGrained']],
    [['close-grained'], ['closeGrained']],
    [['open-pored'], ['openPored']],
    [['oily'], ['isOily']],
    [['bleeding'], ['bleeds']],
    [['soft'], ['isSoft', 'tears']],
    [['figured'], ['isFigured', 'tears']],
    [['hybrid'], ['hasResin', 'hasJoint']],
    [['resin'], ['isResin', 'hasResin']],
    [['laminated'], ['hasJoint']],
    [['oily', 'open-pored'], ['isOily', 'openPored']],
  ])('%j', (classes, held) => {
    const found = Object.entries(traits).filter(([, has]) => has(blank(...classes))).map(([name]) => name)
    expect(found.sort()).toEqual([...held].sort())
  })
})

it('of a blank that is not known the middle is taken, and says so', () => {
  expect([density(blank()).value, density(blank('resin')).value]).toEqual([700, 1200])
  expect(density({ ...blank(), density: { value: 640, source: { mark: 'pub' } } })).toMatchObject({ value: 640, mark: 'pub' })
  expect(mediumOf(blank())).toMatchObject({ kind: 'wood', hardness: { value: 5000, mark: 'model' } })
  expect(mediumOf({ ...blank(), hardness: { value: 7700, source: { mark: 'pub' } } })).toMatchObject({ hardness: { value: 7700 } })
  expect(mediumOf(blank('resin'))).toEqual({ kind: 'resin' })
  expect([sandingClass(blank()), sandingClass(blank('oily', 'soft'))]).toEqual(['wood', 'oily'])
})
it('pores drink most of a soaking coat, close grain less, resin nothing; soft blanks and resin begin no coarser than P220 [model]', () => {
  const on = (...classes: MaterialClass[]) => soakOnTop(blank(...classes)).value
  expect([on('open-pored'), on('soft'), on('close-grained'), on(), on('resin')]).toEqual([0.3, 0.3, 0.7, 0.7, 1])
  const from = (...classes: MaterialClass[]) => coarsestGrain(blank(...classes)).value
  expect([from(), from('open-pored'), from('soft'), from('resin'), from('hybrid')]).toEqual([100, 100, 68, 68, 68])
})

it('abrasives of all scales compare by their grain; coarser ones come the finest first', () => {
  const coarser = coarserThan(abrasive('P-400'), usualShelf.abrasives)
  expect(coarser.every(one => grainOf(one) > grainOf(abrasive('P-400')))).toBe(true)
  expect(coarser.map(grainOf)).toEqual(coarser.map(grainOf).sort((a, b) => a - b))
  expect(coarser[0]!.id).toBe('P-320')
  expect(coarser.map(one => one.id)).not.toContain('P-400')
})
it('a film is levelled with what is wet and flat: no pad, no dry paper', () => {
  expect([abrasive('P-600'), abrasive('pad-1800')].map(levels)).toEqual([true, false])
  expect(levels({ ...abrasive('P-600'), wet: false })).toBe(false)
})
it('fine wet paper is used wet on resin, and nothing is on wood [trade]', () => {
  const wet = (id: string, ...classes: MaterialClass[]) => sandsWet(blank(...classes), abrasive(id))
  expect([wet('P-600', 'resin'), wet('P-320', 'resin'), wet('P-600'), wet('P-600', 'hybrid')]).toEqual([true, false, false, false])
  expect(sandsWet(blank('resin'), { ...abrasive('P-600'), wet: false })).toBe(false)
})

it('a bottle keeps so many days from the day it was opened, by the turner’s own figure where there is one', () => {
  const product = { ...usualShelf.products[0]!, keeps: { days: 30, source: { mark: 'trade' as const } } }
  expect(keepsUntil({ ...product, bottle: { opened: '2026-02-20T22:00:00.000Z' } })).toBe('2026-03-22')
  expect(keepsUntil({ ...product, bottle: { opened: '2026-02-20', keeps: 0 } })).toBe('2026-02-20')
  expect([{}, { opened: null }].map(bottle => keepsUntil({ ...product, bottle }))).toEqual([undefined, undefined])
  expect(keepsUntil({ ...product, keeps: undefined, bottle: { opened: '2026-02-20' } })).toBeUndefined()
})
it('products are found by what they are for, and told apart by whether they go on in coats', () => {
  expect(productFor({ shelf: usualShelf }, 'thin CA')!.role).toBe('thin CA')
  expect(productFor({ shelf: { abrasives: [], products: [] } }, 'thin CA')).toBeUndefined()
  const coats = usualShelf.products.filter(isCoatProduct).map(one => one.role)
  expect(coats).toContain('carnauba wax')
  expect(coats).not.toContain('accelerator')
  expect(usualShelf.products.filter(one => isCa(one.role)).map(one => one.role).sort()).toEqual(['medium CA', 'thick CA', 'thin CA'])
})

it('the thinner side of a blank counts; of one known side that one, of none nothing', () => {
  expect([{ width: 19, height: 17 }, { width: 19 }, { height: 17 }, {}].map(thinnestSide)).toEqual([17, 19, 17, undefined])
  const readings = [{ id: 'r', at: '2026-01-01', grams: 40 }]
  const kept = { id: 'b', name: 'Bough', damp: true, width: null, height: 18, length: null, readings }
  expect(planBlank(kept)).toEqual({ id: 'b', name: 'Bough', damp: true, height: 18, readings: [{ at: '2026-01-01', grams: 40 }] })
  expect(planBlank({ ...kept, width: 19, length: 120 })).toMatchObject({ width: 19, height: 18, length: 120 })
})

describe('of two bottles of one role', () => {
  const bottle = (id: string, change: Partial<Product> = {}): Product => ({ ...nth(products, 0), id, ...change })
  const order = (...all: Product[]) => inTurn(all, '2026-12-01').map(one => one.id)
  const open = (id: string, opened: string, left?: number) =>
    bottle(id, { keeps: { days: 30, source: nth(products, 0).source }, bottle: { opened, ...(left === undefined ? {} : { left }) } })
  it('the open one that keeps for the shortest time goes first, then what keeps long, is sealed, past its day, empty', () => {
    const [soon, later] = [open('soon', '2026-11-05'), open('later', '2026-11-20')]
    const [past, empty] = [open('past', '2026-10-01'), open('empty', '2026-11-29', 0)]
    const [sealed, long] = [bottle('sealed', { bottle: { opened: null } }), bottle('long', { bottle: {} })]
    expect(order(empty, past, sealed, long, later, soon)).toEqual(['soon', 'later', 'long', 'sealed', 'past', 'empty'])
    // On its last day it is still good; an empty one with a sealed one beside it is not empty.
    expect(order(bottle('other', { bottle: { opened: null } }), open('last', '2026-11-01'))).toEqual(['last', 'other'])
    const more = { ...open('more', '2026-11-02', 0), bottle: { opened: '2026-11-02', left: 0, sealed: 1 } }
    expect(order(later, more)).toEqual(['more', 'later'])
  })
  it('roles stay where they are, and what is alike stays as it stands', () => {
    const [first, second] = [nth(products, 0), must(products.find(one => one.role !== nth(products, 0).role), 'there are other roles')]
    expect(order(bottle('a'), { ...second, id: 'x' }, bottle('b'), { ...second, id: 'y' })).toEqual(['a', 'b', 'x', 'y'])
    expect(order({ ...second, id: 'x' }, bottle('a'))).toEqual(['x', 'a'])
    expect(first.role).not.toBe(second.role)
  })
})
