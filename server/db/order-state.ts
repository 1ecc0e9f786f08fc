import type { Knex } from 'knex'

/** An order is handed over once every pen that stands for it went to somebody; one that came back opens it again. */
const HANDED = `
  update orders set handed = found.handed
  from (
    select order_lines.order_id, bool_and(coalesce(pen_rows.gone, false)) as handed
    from order_lines left join pen_rows on pen_rows.pen_id = order_lines.pen_id
    where order_lines.order_id = any(?) group by order_lines.order_id
  ) as found
  where orders.id = found.order_id and orders.handed <> found.handed`

/** Brings the orders of some pens up to what became of them. */
export async function closeOrders(trx: Knex, pens: readonly string[]): Promise<void> {
  if (!pens.length) return
  const orders: string[] = await trx('order_lines').whereIn('pen_id', pens).distinct().pluck('order_id')
  if (orders.length) await closeThese(trx, orders)
}

/** Brings some orders up to what became of their pens. */
export async function closeThese(trx: Knex, orders: readonly string[]): Promise<void> {
  await trx.raw(HANDED, [orders] as never)
}
