import { inputs, methodOf, usualShelf } from '../../../tests/support/inputs'
import { coatCount } from '../model'
import { levellingWays, methodFigures } from './compare'

const deep = { tool: 'skew' as const, film: 'gloss' as const, depth: 60 }
const staged = methodFigures(inputs('apple', 'click-8', { method: methodOf('ca-thin-staged'), wishes: deep }))

it('the risk of a method is that of its worst levelling', () => {
  const risks = staged.traced.steps.flatMap(one => one.risk ?? [])
  expect(staged.levellings).toBe(risks.length)
  expect(risks.length).toBeGreaterThan(2)
  const worst = Math.max(...risks.map(one => one.edges))
  expect(Math.min(...risks.map(one => one.edges))).toBeLessThan(worst)
  expect(staged.risk!.edges).toBe(worst)
})
it('time on the finish runs from the first cleaning to the last polish, and no further', () => {
  const { traced, finishing, ready, coats, plan } = staged
  const time = (wanted: boolean) =>
    traced.steps
      .filter(one => ['clean', 'coat', 'level'].includes(one.step.phase) === wanted)
      .reduce((sum, one) => sum + one.handsOn.value, 0)
  expect(finishing.value).toBeCloseTo(time(true), 9)
  expect(finishing.value + time(false)).toBeCloseTo(traced.handsOn.value, 9)
  expect(ready.value).toBe(traced.untilHandOver.value)
  expect(coats).toBe(coatCount(plan))
})
it('its cost is that of all it takes from bottles, and unknown as long as one price is', () => {
  const priced = (...unknown: string[]) => ({
    ...usualShelf,
    products: usualShelf.products.map(one => (unknown.includes(one.id) ? one : { ...one, bottle: { price: 1000, size: 50 } })),
  })
  const method = methodOf('sealer-polish-wax')
  const full = methodFigures(inputs('apple', 'click-8', { method, shelf: priced() }))
  expect(full.traced.needs.length).toBeGreaterThan(1)
  expect(full.cost!.value).toBeCloseTo(full.traced.needs.reduce((sum, need) => sum + (need.volume.value * 1000) / 50, 0), 9)
  const missing = full.traced.needs[1]!.product.id
  expect(methodFigures(inputs('apple', 'click-8', { method, shelf: priced(missing) })).cost).toBeUndefined()
  expect(methodFigures(inputs('green-resin', 'click-8', { method: methodOf('bare-polish') })).cost).toBeUndefined()
})
it('levelled in stages of three and at the end are the same coats with more or fewer levellings; only CA has the two', () => {
  const { staged: often, atTheEnd } = levellingWays(inputs('apple', 'click-8', { method: methodOf('ca-thin-first') }))!
  expect(atTheEnd.levellings).toBe(1)
  // A stage that would go through is put off, and no coat is left alone after the last.
  expect(often.levellings).toBeGreaterThan(1)
  expect(often.levellings).toBeLessThanOrEqual(1 + Math.floor((often.coats - 1) / 3))
  expect(levellingWays(inputs('apple', 'click-8', { method: methodOf('friction-polish') }))).toBeUndefined()
})
