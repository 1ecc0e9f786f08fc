import type { ListedOrder, ListedPen } from '#contract'

/** Orders with these pens as they are told by now; the same list where none of them stands for one. */
export function withPens(orders: readonly ListedOrder[], told: readonly ListedPen[]): readonly ListedOrder[] {
  const now = new Map(told.map(one => [one.pen.id, one]))
  const isTold = ({ pens }: ListedOrder) => pens.some(one => now.has(one.pen.id))
  if (!orders.some(isTold)) return orders
  return orders.map(one => (isTold(one) ? { ...one, pens: one.pens.map(pen => now.get(pen.pen.id) ?? pen) } : one))
}
