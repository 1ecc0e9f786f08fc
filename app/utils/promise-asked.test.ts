import type { OrderLine } from '#schemas'
import { promiseOf, promiseQuery } from './promise-asked'

const line = (change: Partial<OrderLine>): OrderLine => ({
  id: '', pen: null, material: 'pear', fitting: 'click-8', method: 'oil', refill: '', packing: '', wish: '', price: null, ...change,
})

it('an order asks a day for the pens that are not started, as many as are alike; the address says it again', () => {
  const query = promiseQuery([line({ fitting: null }), line({ pen: 'a' }), line({}), line({})])
  expect(query).toEqual({ fitting: 'click-8', material: 'pear', method: 'oil', count: '2' })
  expect(promiseOf(query)).toEqual({ fitting: 'click-8', material: 'pear', method: 'oil', count: 2 })
  expect(promiseQuery([line({ fitting: null }), line({ pen: 'a' })])).toEqual({})
})
it('pens of several kinds are asked for together, one day for all', () => {
  const query = promiseQuery([line({}), line({ method: null }), line({}), line({ fitting: 'twist-7' }), line({ method: null })])
  expect(query).toMatchObject({ fitting: 'click-8', count: '2', more: ['2~click-8~pear~', '1~twist-7~pear~oil'] })
  expect(promiseOf(query).more).toEqual([
    { count: 2, fitting: 'click-8', material: 'pear', method: '' }, { count: 1, fitting: 'twist-7', material: 'pear', method: 'oil' },
  ])
  expect(promiseOf({ more: ['0~click-8', '~~', null, 'x~click-8'] }).more).toBeUndefined()
})
it('what an address does not say, or says wrongly, is not asked', () => {
  expect(promiseOf({ count: '0', material: ['a', 'b'], fitting: '' })).toEqual({})
  expect(promiseOf({ count: 'many' })).toEqual({})
})
