import type { OrderLine } from '#schemas'
import { promiseOf, promiseQuery } from './promise-asked'

const line = (change: Partial<OrderLine>): OrderLine => ({
  id: '', pen: null, material: 'pear', fitting: 'click-8', method: 'oil', refill: '', packing: '', wish: '', price: null, ...change,
})

it('an order asks a day for the pens that are not started, as many as are alike; the address says it again', () => {
  const query = promiseQuery([line({ fitting: null }), line({ pen: 'a' }), line({}), line({ method: null }), line({})])
  expect(query).toEqual({ fitting: 'click-8', material: 'pear', method: 'oil', count: '2' })
  expect(promiseOf(query)).toEqual({ fitting: 'click-8', material: 'pear', method: 'oil', count: 2 })
  expect(promiseQuery([line({ fitting: null }), line({ pen: 'a' })])).toEqual({})
})
it('what an address does not say, or says wrongly, is not asked', () => {
  expect(promiseOf({ count: '0', material: ['a', 'b'], fitting: '' })).toEqual({})
  expect(promiseOf({ count: 'many' })).toEqual({})
})
