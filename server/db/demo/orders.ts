import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { Pen } from '../../../contract'
import { addCustomer } from '../customers'
import { addOrder } from '../orders'
import { addPlace } from '../places'
import type { OrderLine } from '../../../schemas'

/** What a pen of the old trees is sold for, and what was paid beforehand, in minor units. */
const [PRICE, DEPOSIT] = [3800, 10_000]

/** The orchard association’s order of all fourteen pens for the supper, and the fair where what is left may be sold. All is invented. */
export async function loadOrders(knex: Knex, pens: readonly Pen[], supper: string): Promise<void> {
  const customer = await addCustomer(knex, {
    id: randomUUID(), name: 'The orchard association', reach: 'the notice board at the gate', remark: 'All from the old trees, please.',
  })
  await knex('pens').whereIn('id', pens.map(pen => pen.id)).update({ asked: PRICE })
  await addOrder(knex, 'metric', {
    id: randomUUID(), kind: 'order', customer: customer.id, promised: supper, deposit: DEPOSIT, calledOff: false,
    remark: 'One for each who picked at the last harvest.',
    lines: pens.map(({ id, fitting, material, method }): OrderLine => ({
      id: randomUUID(), pen: id, fitting, material: material as OrderLine['material'], method,
      refill: 'black, medium', packing: 'sleeve', wish: '', price: PRICE,
    })),
  })
  await addPlace(knex, { id: randomUUID(), name: 'Winter fair in the barn', kind: 'fair', day: supper, cost: 1500, gone: false })
}
