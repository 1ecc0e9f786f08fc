import type { Knex } from 'knex'
import type { ListedOrder, Order } from '../../contract'
import type { OrderQuery } from '../../schemas'
import { FieldsError } from '../faults'

/** All that are open come at once where nothing else is said: what looks through them needs them all. Of those that are over so many. */
const USUAL = { open: 500, over: 50 }

/** An order's own row, with the name of whom it is of. */
export interface OrderRow
  extends Pick<Order, 'id' | 'number' | 'kind' | 'customer' | 'deposit' | 'remark' | 'handed' | 'version'>, Pick<ListedOrder, 'name'> {
  /** The day it is promised for, YYYY-MM-DD; null: none. */
  promised: string | null
  /** Whether it was called off. */
  called_off: boolean
  /** When it came in. */
  made: Date
}

/** The rows of orders, to be narrowed. */
export const orderRows = (knex: Knex) =>
  knex('orders').leftJoin('customers', 'customers.id', 'orders.customer_id').select(
    'orders.id', 'number', 'kind', 'customer_id as customer', 'customers.name', knex.raw('to_char(promised, \'YYYY-MM-DD\') as promised'),
    'deposit', 'orders.remark', 'called_off', 'handed', 'orders.version', 'orders.made',
  )

/** As an order is called on the screen. */
const NAMED = /^(?:order|gift|for stock) (\d{1,9})$/
/** Whom it is of, what was noted of it, its number, or a pen that stands for it by its mark: one of them has this in it. */
const SAYS = `(
  strpos(lower(customers.name), :text) > 0 or strpos(lower(orders.remark), :text) > 0 or cast(number as text) = :text
  or exists (
    select from order_lines join pens on pens.id = order_lines.pen_id
    where order_lines.order_id = orders.id and lower(pens.mark) = :text))`

/**
 * A page of orders: those that are open, promised first before the others, or those that are over, the latest first; `next` is the number
 * of the last of them where there are more. @throws FieldsError where `after` is no order
 */
export async function orderPage(
  knex: Knex, { state = 'open', text, before, after = before, limit = USUAL[state] }: OrderQuery,
): Promise<{ rows: OrderRow[], next: number | null }> {
  const query = orderRows(knex).limit(limit + 1)
  const said = text?.trim().toLowerCase()
  const [, meant] = NAMED.exec(said ?? '') ?? []
  if (meant) void query.where({ number: Number(meant) })
  else if (said) void query.whereRaw(SAYS, { text: said })
  if (state === 'over') {
    void query.whereRaw('(called_off or handed)').orderBy('number', 'desc')
    if (after !== undefined) void query.where('number', '<', after)
  } else {
    void query.where({ called_off: false, handed: false }).orderByRaw('promised nulls last, number')
    if (after !== undefined) await from(knex, query, after)
  }
  const rows: OrderRow[] = await query
  const page = rows.slice(0, limit)
  return { rows: page, next: rows.length > limit ? page.at(-1)?.number ?? null : null }
}

/** Of orders that are open those behind one. */
async function from(knex: Knex, query: Knex.QueryBuilder, after: number): Promise<void> {
  const last: { promised: string | null } | undefined = await knex('orders')
    .where({ number: after }).first(knex.raw('to_char(promised, \'YYYY-MM-DD\') as promised'))
  if (!last) throw new FieldsError({ after: 'There is no such order. Read the list from its beginning.' })
  void (last.promised === null
    ? query.whereNull('promised').where('number', '>', after)
    : query.whereRaw('(promised is null or (promised, number) > (?::date, ?))', [last.promised, after]))
}
