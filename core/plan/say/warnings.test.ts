import { planFor } from '../../../tests/support/inputs'
import type { Bottle } from '../../shelf'
import type { Step } from '../model'
import { bottleWarnings } from './warnings'

const fair = { celsius: 21, humidity: 55 }
const coat = planFor('apple', 'click-8').steps.find(step => step.kind === 'coat')!
const from = (bottle?: Bottle): Step => (coat.kind === 'coat' ? { ...coat, product: { ...coat.product, bottle } } : coat)

it('nothing in fair air and out of a fresh bottle, nor at a step that is no coat', () => {
  expect(bottleWarnings(from(), fair, '2026-03-01')).toEqual([])
  expect(bottleWarnings(planFor().steps[0]!, { celsius: 2, humidity: 99 }, '2026-03-01')).toEqual([])
})
it('what damp air does to the coat, and what to do', () => {
  expect(bottleWarnings(from(), { celsius: 21, humidity: 78 }, '2026-03-01')).toEqual([
    'At 78 % humidity CA may bloom white. Warm or dry the air, or coat on a drier evening.',
  ])
})
it('a bottle is past its time from the day after, and a sealed one is to be dated', () => {
  const bottle = { opened: '2026-02-01', keeps: 28 }
  expect(bottleWarnings(from(bottle), fair, '2026-03-01')).toEqual([])
  expect(bottleWarnings(from(bottle), fair, '2026-03-02')).toEqual(['This bottle keeps until about 1 Mar 2026: try a drop on scrap first.'])
  expect(bottleWarnings(from({ opened: null }), fair, '2026-03-02')).toEqual([
    'The bottle is still sealed: note on the shelf that you open it today.',
  ])
})
