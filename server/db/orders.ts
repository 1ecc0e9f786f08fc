import type { Knex } from 'knex'
import type { ListedOrder, Order, OrderPage } from '../../contract'
import type { UnitSystem } from '../../core/units'
import { newOrderSchema, type NewOrder, type OrderChange, type OrderLine, type OrderQuery } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { latestPlan } from './evenings'
import { orderPage, orderRows, type OrderRow } from './order-rows'
import { closeThese } from './order-state'
import { projectPens } from './projections'
import { rowsOf } from './rows'

interface LineRow { id: string, order_id: string, pen: string | null, body: Omit<OrderLine, 'id' | 'pen'> }

/** A page of orders with their pens. @throws FieldsError */
export async function listOrders(knex: Knex, units: UnitSystem, asked: OrderQuery): Promise<OrderPage> {
  const { rows, next } = await orderPage(knex, asked)
  return { orders: await whole(knex, units, rows), next }
}

/** An order by its id. @throws NotFoundError */
export async function readOrder(knex: Knex, units: UnitSystem, id: string): Promise<ListedOrder> {
  const rows: OrderRow[] = await orderRows(knex).where('orders.id', id)
  const [found] = await whole(knex, units, rows)
  if (!found) throw new NotFoundError('There is no such order. It may have been entered in another workshop.')
  return found
}

/** Orders with their pens; what of one is damaged is passed over, and stops none of the others. */
async function whole(knex: Knex, units: UnitSystem, rows: readonly OrderRow[]): Promise<ListedOrder[]> {
  const lines: LineRow[] = await knex('order_lines')
    .whereIn('order_id', rows.map(row => row.id)).orderBy(['order_id', 'place']).select('id', 'order_id', 'pen_id as pen', 'body')
  const pens = new Map((await rowsOf(knex, units, lines.flatMap(line => line.pen ?? []))).map(one => [one.pen.id, one]))
  const ready = readyBy(await latestPlan(knex))
  return rows.flatMap(({ name, called_off: calledOff, made, ...row }) => {
    const own = lines.filter(line => line.order_id === row.id).map(({ order_id: _, body, ...line }) => ({ ...body, ...line }))
    const { number, handed, version, ...said } = row
    if (!newOrderSchema.isValidSync({ ...said, calledOff, lines: own })) return []
    const order: Order = { ...said, number, handed, version, calledOff, lines: own, made: made.toISOString() }
    const here = own.flatMap(line => pens.get(line.pen ?? '') ?? [])
    const planned = Object.fromEntries(here.flatMap(({ pen }) => (ready.has(pen.id) ? [[pen.id, ready.get(pen.id) ?? '']] : [])))
    return [{ order, name, pens: here, planned }]
  })
}

/** When each pen may go by the evenings as they were planned last: where its last step stands in them. */
function readyBy(plan: Awaited<ReturnType<typeof latestPlan>>): Map<string, string> {
  return new Map((plan?.blocks ?? []).filter(block => /^check(\.|$)/.test(block.step)).map(block => [block.pen, block.ends]))
}

/** A new order; the same id again changes nothing. @throws FieldsError */
export async function addOrder(knex: Knex, units: UnitSystem, { lines, ...wanted }: NewOrder): Promise<ListedOrder> {
  // Numbers are given one after the other.
  await knex('workshop').forUpdate().first('version')
  if (await knex('orders').where({ id: wanted.id }).first('id')) return readOrder(knex, units, wanted.id)
  await holdPens(knex, wanted.id, lines)
  const found: { last: number | null } | undefined = await knex('orders').first(knex.raw('max(number) as last'))
  await refuseUnknown(knex, wanted.id, wanted.customer, lines)
  await knex('orders').insert({ ...columns(wanted), id: wanted.id, number: (found?.last ?? 0) + 1 })
  await putLines(knex, { id: wanted.id, promised: wanted.promised }, lines)
  return readOrder(knex, units, wanted.id)
}

/** Changes an order. @throws ConflictError with the newer one, NotFoundError, FieldsError */
export async function changeOrder(
  knex: Knex, units: UnitSystem, id: string, { version, lines, ...wanted }: OrderChange,
): Promise<ListedOrder> {
  await holdPens(knex, id, lines)
  await refuseUnknown(knex, id, wanted.customer, lines)
  const changed = await knex('orders').where({ id, version }).update({ ...columns(wanted), version: version + 1 })
  if (!changed) {
    const newer = await readOrder(knex, units, id)
    throw new ConflictError('This order was changed on another device. Look again, then say what still holds.', newer)
  }
  await knex('order_lines').where({ order_id: id }).delete()
  await putLines(knex, { id, promised: wanted.promised }, lines)
  return readOrder(knex, units, id)
}

/**
 * Holds the pens that stand for an order, and those that are to, in their order: whoever enters something of a pen holds it before its
 * order, so that the two do not wait for each other in a ring.
 */
async function holdPens(knex: Knex, order: string, lines: readonly OrderLine[]): Promise<void> {
  const before: string[] = await knex('order_lines').where({ order_id: order }).whereNotNull('pen_id').pluck('pen_id')
  const pens = [...new Set([...before, ...lines.flatMap(line => line.pen ?? [])])]
  await knex('pens').whereIn('id', pens).orderBy('id').forUpdate().select('id')
}

const columns = ({ kind, customer, promised, deposit, remark, calledOff }: Omit<NewOrder, 'id' | 'lines'>) =>
  ({ kind, customer_id: customer, promised: promised ?? null, deposit, remark, called_off: calledOff })

/** Refuses a customer or a pen that is not here, and a pen that stands for another order. */
async function refuseUnknown(knex: Knex, order: string, customer: string | null, lines: readonly OrderLine[]): Promise<void> {
  const fields: Record<string, string> = {}
  if (customer !== null && !await knex('customers').where({ id: customer }).first('id')) fields.customer = 'Choose a customer who is here.'
  const pens = lines.flatMap(line => line.pen ?? [])
  const known = new Set<string>(await knex('pens').whereIn('id', pens).pluck('id'))
  const taken: { pen: string, number: number }[] = await knex('order_lines').join('orders', 'orders.id', 'order_lines.order_id')
    .whereIn('pen_id', pens).where({ called_off: false }).whereNot({ order_id: order }).select('pen_id as pen', 'number')
  for (const [at, { id, pen }] of lines.entries()) {
    if (lines.findIndex(one => one.id === id) < at) fields[`lines[${at}].id`] = 'This line is there twice.'
    if (pen === null) continue
    const other = taken.find(one => one.pen === pen)
    if (!known.has(pen)) fields[`lines[${at}].pen`] = 'Choose a pen that is here.'
    else if (other) fields[`lines[${at}].pen`] = `This pen stands for order ${other.number}. Take it out there first.`
    else if (lines.findIndex(one => one.pen === pen) < at) fields[`lines[${at}].pen`] = 'This pen stands in another line of this order.'
  }
  if (Object.keys(fields).length) throw new FieldsError(fields)
}

/** Its lines in their order; pens that stand for it are due on the day that was promised, unless they are due before. */
async function putLines(knex: Knex, { id, promised }: { id: string, promised: string | null | undefined }, lines: readonly OrderLine[]) {
  // A line of another order under the same id is none of this one: it stays where it is.
  const kept = await knex('order_lines').whereIn('id', lines.map(line => line.id)).first('id')
  if (kept) throw new FieldsError({ lines: 'A line of this is of another order.' })
  await knex('order_lines').insert(lines.map(({ id: line, pen, ...body }, place) =>
    ({ id: line, order_id: id, place, pen_id: pen, body: JSON.stringify(body) })))
  const pens = lines.flatMap(line => line.pen ?? [])
  if (promised) {
    const moved: string[] = await knex('pens').whereIn('id', pens).where(query => query.whereNull('due').orWhere('due', '>', promised))
      .orderBy('id').pluck('id')
    await knex('pens').whereIn('id', moved).update({ due: promised, version: knex.raw('version + 1') })
    await projectPens(knex, moved)
  }
  await closeThese(knex, [id])
}
