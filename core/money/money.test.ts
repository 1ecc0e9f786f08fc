import { methodOf, planFor, inputs } from '../../tests/support/inputs'
import { makePlan, trace, type PlanTrace } from '../plan'
import { askingPrices } from './asking'
import { costParts, penCost } from './cost'
import { abrasivePrice, blankPrice, isPriceName, materialPrice, setPrice, wholePrices } from './prices'

const plan = planFor('apple', 'click-8', { method: methodOf('ca-thin-first') })
const traced = trace(plan)
const costed = (change: object = {}) => ({ plan, traced, handsOn: 5400, isDone: true, ...change })
/** A plan on a shelf whose every bottle costs and holds the same. */
function priced(price: number, size: number): { plan: typeof plan, traced: PlanTrace } {
  const given = inputs('apple', 'click-8', { method: methodOf('ca-thin-first') })
  const products = given.shelf.products.map(one => ({ ...one, bottle: { ...one.bottle, price, size } }))
  const own = makePlan({ ...given, shelf: { ...given.shelf, products } })
  return { plan: own, traced: trace(own) }
}

it('hands are paid by the hour, a blank by its share, the sum is that of the rounded parts (worked by hand)', () => {
  // An hour and a half at 18.25: 27.375, so 27.38. A blank of 10.00 for three pens: 3.33.
  const prices = { hour: 1825, packing: 120, [setPrice('click-8')]: 649, [blankPrice('b')]: 1000 }
  const { parts, total, missing } = penCost(costed({ blank: { id: 'b', pens: 3 } }), prices)
  expect([parts.hands!.value, parts.blank!.value, parts.set!.value, parts.packing!.value]).toEqual([2738, 333, 649, 120])
  expect(total.value).toBe(2738 + 333 + 649 + 120)
  expect(missing).toEqual(['finish', 'abrasives'])
  expect(total.from).toHaveLength(4)
})
it('a pen blank is paid by its wood; without any price nothing is known, and that is said part by part', () => {
  expect(penCost(costed(), { [materialPrice('apple')]: 250 }).parts.blank!.value).toBe(250)
  expect(penCost(costed(), { [materialPrice('pear')]: 250 }).parts.blank).toBeNull()
  const nothing = penCost(costed(), {})
  expect([nothing.total.value, nothing.missing]).toEqual([0, [...costParts]])
  expect(penCost(costed(), { hour: 0 }).parts.hands!.value).toBe(0)
})
it('coats pay what they take from bottles: of bottles that cost twice as much twice as much; all or nothing', () => {
  const [once, twice] = [priced(500, 50), priced(1000, 50)].map(one => penCost({ ...one, handsOn: 0, isDone: false }, {}).parts.finish!)
  const ml = priced(500, 50).traced.needs.reduce((sum, need) => sum + need.volume.value, 0)
  expect(once!.value).toBe(Math.round(ml * 10))
  expect(Math.abs(twice!.value - 2 * once!.value)).toBeLessThanOrEqual(1)
  expect(penCost(costed(), {}).parts.finish).toBeNull()
})
it('grits pay by their life, pads a twentieth of one; one abrasive without a price leaves the whole unknown', () => {
  const used = new Map<string, number>()
  for (const { step, grit } of traced.steps)
    if ('abrasive' in step && grit) used.set(step.abrasive.id, (used.get(step.abrasive.id) ?? 0) + (grit.uses || 1 / 20))
  expect([...used.values()].some(one => one === 1 / 20)).toBe(true)
  const prices = Object.fromEntries([...used.keys()].map(id => [abrasivePrice(id), 1000]))
  const sum = [...used.values()].reduce((all, one) => all + one * 1000, 0)
  expect(penCost(costed(), prices).parts.abrasives!.value).toBe(Math.round(sum))
  const { [abrasivePrice([...used.keys()][0]!)]: _, ...fewer } = prices
  expect(penCost(costed(), fewer).parts.abrasives).toBeNull()
})
it('asked for by margin it leaves that part of the price, by wage it brings that an hour; rounded up (worked by hand)', () => {
  const prices = { hour: 1000, packing: 100, margin: 40, wage: 2000 }
  const cost = penCost(costed(), prices)
  // An hour and a half: 15.00, and 1.00 of packing: 16.00. 16 / 0.6 = 26.666…; 1 + 1.5 × 20 = 31.
  const { byMargin, byWage } = askingPrices(cost, 5400, prices)
  expect([cost.total.value, byMargin!.value, byWage!.value]).toEqual([1600, 2667, 3100])
  // 16 / 0.75 = 21.333…: a price that is rounded down would leave less than the quarter.
  expect(askingPrices(cost, 5400, { margin: 25 }).byMargin!.value).toBe(2134)
  expect(askingPrices(cost, 5400, {})).toEqual({})
  expect(askingPrices(cost, 5400, { margin: 100 })).toEqual({})
  expect(askingPrices(penCost(costed(), { packing: 100 }), 5400, { wage: 2000 }).byWage!.value).toBe(3100)
})
it('prices have names of their own', () => {
  for (const name of [...wholePrices, setPrice('twist-7'), materialPrice('apple'), abrasivePrice('P-320'), blankPrice('1-2')])
    expect([name, isPriceName(name)]).toEqual([name, true])
  for (const name of ['', 'hours', 'fitting:', 'set:click-8', 'fitting:a b', 'hour '])
    expect([name, isPriceName(name)]).toEqual([name, false])
})
