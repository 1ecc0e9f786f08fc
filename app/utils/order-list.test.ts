import type { ListedOrder, ListedPen } from '../../contract'
import { withPens } from './order-list'

const pen = (id: string, stage: string): ListedPen => ({ pen: { id }, summary: { stage } }) as unknown as ListedPen
const order = (...pens: ListedPen[]): ListedOrder => ({ pens }) as unknown as ListedOrder
const orders = [order(pen('a', 'in work'), pen('b', 'in work')), order(), order(pen('c', 'planned'))]

it('a pen that is told of changes in the order it stands for, in its place, and no other order does', () => {
  const now = withPens(orders, [pen('b', 'finished'), pen('z', 'planned')])
  expect(now[0]!.pens.map(one => one.summary.stage)).toEqual(['in work', 'finished'])
  expect([now[1], now[2]]).toEqual([orders[1], orders[2]])
  expect(now[2]).toBe(orders[2])
})
it('where none of them stands for one it is the same list', () => expect(withPens(orders, [pen('z', 'planned')])).toBe(orders))
