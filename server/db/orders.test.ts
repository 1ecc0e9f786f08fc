import { randomUUID } from 'node:crypto'
import { projectEverywhere } from './projections'
import type { BenchEvent, Entry } from '../../core/bench'
import { customersShown, type Customer, type OrderPage, type Pen } from '../../contract'
import { newOrderSchema, type NewOrder, type NewPen, type OrderLine, type OrderQuery } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { ConflictError, FieldsError } from '../faults'
import { appendEvents } from './append'
import { broughtBefore } from './brought'
import { addCustomer, changeCustomer, forgetCustomer, listCustomers } from './customers'
import { keepPlan } from './evenings'
import { addOrder, changeOrder, listOrders, readOrder } from './orders'
import { addPlace, changePlace, listPlaces } from './places'
import { changePen, createPen, readPen } from './pens'
import { readPlan } from './plans'
import { pagePens } from './rows'

const database = onDatabase()
const penOf = (mark: string, change: Partial<NewPen> = {}): Promise<Pen> => createPen(database.knex(), {
  mark, name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-medium-only', tool: 'skew',
  film: 'gloss', ...change,
})
const line = (change: Partial<OrderLine> = {}): OrderLine => ({
  id: randomUUID(), pen: null, material: null, fitting: null, method: null, refill: '', packing: '', wish: '', price: null, ...change,
})
const orderOf = (lines: OrderLine[], change: Partial<NewOrder> = {}): NewOrder => ({
  id: randomUUID(), kind: 'order', customer: null, promised: null, deposit: null, remark: '', calledOff: false, lines, ...change,
})
const enter = (pen: string, at: string, entry: Entry) =>
  appendEvents(database.knex(), [{ ...entry, id: randomUUID(), pen, barrels: [], at, device: 'tablet' } as BenchEvent])
/** Every step of a pen done, an hour apart. */
async function finish(pen: Pen) {
  const { steps } = await readPlan(database.knex(), pen)
  await appendEvents(database.knex(), steps.map(({ id, barrels }, index): BenchEvent => ({
    id: randomUUID(), pen: pen.id, kind: 'done', payload: { step: id }, barrels, device: 'tablet',
    at: new Date(Date.parse('2019-11-01T08:00:00.000Z') + index * 3_600_000).toISOString(),
  })))
}
const leaving = (change: object = {}): Entry =>
  ({ kind: 'leave', payload: { how: 'sold', price: 3800, place: null, customer: null, order: null, with: [], words: '', ...change } })

it('orders are numbered as they come in, each once; those with a day first, the earliest before the others', async () => {
  const knex = database.knex()
  const [late, none, soon] = [
    orderOf([line()], { promised: '2019-12-24' }), orderOf([line()]), orderOf([line({ wish: 'a flat clip' })], { promised: '2019-12-05' }),
  ]
  for (const one of [late, none, soon, late]) await addOrder(knex, 'metric', one)
  const { orders } = await listOrders(knex, 'metric', {})
  expect(orders.map(({ order }) => [order.number, order.promised])).toEqual([[3, '2019-12-05'], [1, '2019-12-24'], [2, null]])
  expect(orders[0]!.order.lines).toEqual(soon.lines)
  expect((await readOrder(knex, 'metric', late.id)).order.number).toBe(1)
})
it('pens that stand for it are due on its day, unless they are due before; its evenings tell when each is ready', async () => {
  const knex = database.knex()
  const [free, before, after] = [await penOf('A1'), await penOf('A2', { due: '2019-12-01' }), await penOf('A3', { due: '2019-12-31' })]
  const order = orderOf([free, before, after].map(({ id }) => line({ pen: id })), { promised: '2019-12-05' })
  await addOrder(knex, 'metric', order)
  const due = async (pen: Pen) => (await readPen(knex, pen.id)).due
  expect([await due(free), await due(before), await due(after)]).toEqual(['2019-12-05', '2019-12-01', '2019-12-05'])
  const block = (pen: string, step: string, ends: string) => ({ pen, step, begins: '2019-12-01T19:00:00.000Z', ends })
  await keepPlan(knex, {
    day: '2019-12-01', madeAt: '2019-12-01T18:00:00.000Z', evenings: [], waits: [], promised: [],
    blocks: [block(free.id, 'assemble', '2019-12-02T19:00:00.000Z'), block(free.id, 'check', '2019-12-06T19:00:00.000Z')],
  })
  expect((await readOrder(knex, 'metric', order.id)).planned).toEqual({ [free.id]: '2019-12-06T19:00:00.000Z' })
})
it('orders come page by page, those without a day last, and those that are over the latest first', async () => {
  const knex = database.knex()
  const days = ['2019-12-24', null, '2019-12-05', null, '2019-12-24', '2019-12-05']
  for (const promised of days) await addOrder(knex, 'metric', orderOf([line()], { promised }))
  const pages = async (asked: OrderQuery) => {
    const numbers: number[][] = []
    for (let after: number | null | undefined; after !== null;) {
      const page: OrderPage = await listOrders(knex, 'metric', { ...asked, limit: 2, ...(after ? { after } : {}) })
      numbers.push(page.orders.map(one => one.order.number))
      after = page.next
    }
    return numbers
  }
  expect(await pages({})).toEqual([[3, 6], [1, 5], [2, 4]])
  await knex('orders').update({ handed: true })
  expect(await pages({ state: 'over' })).toEqual([[6, 5], [4, 3], [2, 1]])
  // So asks a page of an earlier Oxlip.
  expect((await listOrders(knex, 'metric', { state: 'over', before: 3 })).orders.map(one => one.order.number)).toEqual([2, 1])
  await expect(listOrders(knex, 'metric', { after: 99 })).rejects.toThrow(FieldsError)
})
it('an order is found by whom it is of, what was noted, its number, or the mark of a pen of it', async () => {
  const knex = database.knex()
  const [customer, pen] = [randomUUID(), await penOf('B7')]
  await addCustomer(knex, { id: customer, name: 'The bell ringer', reach: '', remark: '' })
  await addOrder(knex, 'metric', orderOf([line()], { customer }))
  await addOrder(knex, 'metric', orderOf([line({ pen: pen.id })], { remark: 'For the 100 % raffle' }))
  for (let number = 3; number <= 12; number++) await addOrder(knex, 'metric', orderOf([line()]))
  const found = async (text: string) => (await listOrders(knex, 'metric', { text })).orders.map(one => one.order.number)
  expect(await found(' Bell')).toEqual([1])
  expect(await found('100 % r')).toEqual([2])
  expect(await found('b7')).toEqual([2])
  expect([await found('12'), await found('Order 1'), await found('1')]).toEqual([[12], [1], [1, 2]])
  expect([await found('%'), await found('_')]).toEqual([[2], []])
})
it('a pen stands for one order only, but for one that was called off; a pen that is not here for none', async () => {
  const knex = database.knex()
  const pen = await penOf('A1')
  const first = await addOrder(knex, 'metric', orderOf([line({ pen: pen.id })]))
  const refused = (order: NewOrder) => addOrder(knex, 'metric', order).then(() => ({}), (error: FieldsError) => error.fields)
  expect(await refused(orderOf([line(), line({ pen: pen.id })]))).toEqual({
    'lines[1].pen': 'This pen stands for order 1. Take it out there first.',
  })
  expect(await refused(orderOf([line({ pen: randomUUID() })], { customer: randomUUID() }))).toEqual({
    'lines[0].pen': 'Choose a pen that is here.', 'customer': 'Choose a customer who is here.',
  })
  const other = await penOf('A2')
  expect(await refused(orderOf([line({ pen: other.id }), line({ pen: other.id })]))).toHaveProperty(['lines[1].pen'])
  const { number: _, made: __, handed: ___, ...kept } = first.order
  await changeOrder(knex, 'metric', kept.id, { ...without(kept, 'id'), calledOff: true })
  expect(await refused(orderOf([line({ pen: pen.id })]))).toEqual({})
  expect((await listOrders(knex, 'metric', { state: 'over' })).orders.map(one => one.order.number)).toEqual([1])
})
it('who changes an order that somebody changed meanwhile is told, and nothing is lost', async () => {
  const knex = database.knex()
  const { order: { number: _, made: __, handed: ___, id, ...order } } = await addOrder(knex, 'metric', orderOf([line()]))
  await changeOrder(knex, 'metric', id, { ...order, remark: 'mine' })
  await expect(changeOrder(knex, 'metric', id, { ...order, remark: 'theirs' })).rejects.toThrow(ConflictError)
  expect((await readOrder(knex, 'metric', id)).order).toMatchObject({ remark: 'mine', version: 2, lines: order.lines })
})
it('an order is handed over once all its pens went, and open again when one comes back', async () => {
  const knex = database.knex()
  const [one, two] = [await penOf('A1'), await penOf('A2')]
  const { order } = await addOrder(knex, 'metric', orderOf([one, two].map(({ id }) => line({ pen: id }))))
  const isHanded = async () => (await readOrder(knex, 'metric', order.id)).order.handed
  const seen = [await isHanded()]
  for (const pen of [one, two]) {
    await finish(pen)
    await enter(pen.id, '2019-11-20T10:00:00.000Z', leaving({ order: order.id }))
    seen.push(await isHanded())
  }
  await enter(two.id, '2019-11-21T10:00:00.000Z', { kind: 'return', payload: { why: 'repair', paid: null, words: '' } })
  seen.push(await isHanded())
  expect(seen).toEqual([false, false, true, false])
  // What is here and what went are lists of their own; rows made again say the same.
  const list = async (at: 'here' | 'gone') => (await pagePens(knex, 'metric', { at })).pens.map(found => found.pen.mark)
  expect([await list('here'), await list('gone')]).toEqual([[], ['A1']])
  await knex('pen_rows').update({ projection: 0, gone: false })
  await projectEverywhere(database.owner(), database.pool())
  expect([await list('here'), await list('gone')]).toEqual([[], ['A1']])
})
it('customers are listed by name, page by page, or by a part of it; whoever is meant besides comes after them', async () => {
  const knex = database.knex()
  const named = (name: string) => addCustomer(knex, { id: randomUUID(), name, reach: '', remark: '' })
  const last = await named('Zachary of the mill')
  for (let number = 0; number < customersShown + 5; number++) await named(`Neighbour ${String(number).padStart(2, '0')}`)
  const first = await listCustomers(knex, {})
  const behind = (one: Customer) => listCustomers(knex, { after: `${one.id} ${one.name}` })
  expect((await behind(first.at(-1)!)).map(one => one.name)).toEqual(
    ['Neighbour 50', 'Neighbour 51', 'Neighbour 52', 'Neighbour 53', 'Neighbour 54', last.name])
  // Whoever was the last on a page may be forgotten by the time the next is asked for, and two may have one name.
  await forgetCustomer(knex, first[9]!.id)
  const twin = await named('Neighbour 10')
  const twins = [twin, first[10]!].sort((a, b) => (a.id < b.id ? -1 : 1))
  expect((await behind(first[9]!)).slice(0, 3).map(one => one.id)).toEqual([...twins, first[11]!].map(one => one.id))
  expect((await behind(twins[0]!)).slice(0, 2).map(one => one.id)).toEqual([twins[1]!.id, first[11]!.id])
  await forgetCustomer(knex, twin.id)
  await addCustomer(knex, { id: first[9]!.id, name: first[9]!.name, reach: '', remark: '' })
  expect([first.length, first[0]!.name, first.at(-1)!.name]).toEqual([customersShown, 'Neighbour 00', `Neighbour ${customersShown - 1}`])
  expect((await listCustomers(knex, { also: last.id })).map(one => one.name)).toEqual([...first.map(one => one.name), last.name])
  expect((await listCustomers(knex, { also: first[3]!.id })).map(one => one.id)).toEqual(first.map(one => one.id))
  expect(await listCustomers(knex, { also: randomUUID(), text: 'mill' })).toEqual([last])
})
it('somebody who is forgotten leaves orders and pens without a name, and nothing of theirs behind', async () => {
  const knex = database.knex()
  const id = randomUUID()
  await addCustomer(knex, { id, name: 'The bell ringer', reach: 'the tower', remark: 'left-handed' })
  await addCustomer(knex, { id: randomUUID(), name: 'Another 100%_one', reach: '', remark: '' })
  expect((await listCustomers(knex, { text: 'BELL' })).map(one => one.name)).toEqual(['The bell ringer'])
  expect(await listCustomers(knex, { text: '%_o' })).toHaveLength(1)
  await expect(changeCustomer(knex, id, { version: 2, name: 'x', reach: '', remark: '' })).rejects.toThrow(ConflictError)
  const { order } = await addOrder(knex, 'metric', orderOf([line()], { customer: id }))
  expect((await readOrder(knex, 'metric', order.id)).name).toBe('The bell ringer')
  await forgetCustomer(knex, id)
  await forgetCustomer(knex, id)
  const { order: kept, name } = await readOrder(knex, 'metric', order.id)
  expect([kept.customer, name, kept.lines]).toEqual([null, null, order.lines])
  for (const table of ['customers', 'orders', 'order_lines'])
    expect(JSON.stringify(await knex(table))).not.toMatch(/bell ringer|tower|left-handed/)
})
it('a place is summed up by what went and came back there; what was taken back counts for nothing', async () => {
  const knex = database.knex()
  const place = { id: randomUUID(), name: 'Barn', kind: 'fair' as const, day: '2019-12-01', cost: 1500, gone: false }
  await addPlace(knex, place)
  const pens = [await penOf('A1'), await penOf('A2'), await penOf('A3')]
  for (const [index, pen] of pens.entries()) {
    await finish(pen)
    await enter(pen.id, `2019-12-01T1${index}:00:00.000Z`, leaving({ place: place.id, price: 1000 * (index + 1) }))
  }
  await enter(pens[1]!.id, '2019-12-02T10:00:00.000Z', { kind: 'return', payload: { why: 'given back', paid: 2000, words: '' } })
  const [found] = await listPlaces(knex)
  expect(found!.sum).toEqual({ sold: 3, given: 0, taken: 6000, paidBack: 2000, cost: 1500, left: 2500 })
  const last = await knex('events').where({ pen_id: pens[2]!.id, kind: 'leave' }).first('id')
  await enter(pens[2]!.id, '2019-12-02T11:00:00.000Z', { kind: 'undo', payload: { entries: [last.id] } })
  expect((await changePlace(knex, place.id, { ...without(place, 'id'), version: 1, cost: 0 }))[0]!.sum)
    .toEqual({ sold: 2, given: 0, taken: 3000, paidBack: 2000, cost: 0, left: 1000 })
  await expect(changePlace(knex, place.id, { ...without(place, 'id'), version: 1 })).rejects.toThrow(ConflictError)
})
it('what such pens brought: of the same in all, else of fitting and wood, else of the fitting', async () => {
  const knex = database.knex()
  const asked = { fitting: 'click-8', material: 'apple', method: 'ca-medium-only' }
  expect(await broughtBefore(knex, asked)).toEqual({ by: null, brought: null })
  const [pear, apple, same] = [await penOf('A1', { material: 'pear' }), await penOf('A2', { method: 'ca-thin-first' }), await penOf('A3')]
  const sell = async (pen: Pen, price: number | null) => {
    await enter(pen.id, '2019-12-01T10:00:00.000Z', leaving({ price }))
    const { by, brought } = await broughtBefore(knex, asked)
    return [by, brought?.middle]
  }
  expect(await sell(pear, 3000)).toEqual(['fitting', 3000])
  expect(await sell(apple, 4000)).toEqual(['fitting and material', 4000])
  expect(await sell(same, 5000)).toEqual(['all', 5000])
})
it('two who change an order and enter its pen at once do not wait for each other in a ring', async () => {
  const knex = database.knex()
  const pen = await penOf('A1')
  const { order } = await addOrder(knex, 'metric', orderOf([line({ pen: pen.id })]))
  const { number: _, made: __, handed: ___, id, version: ____, ...kept } = order
  const back: Entry = { kind: 'return', payload: { why: 'given back', paid: null, words: '' } }
  // It goes and comes back: each time the order is over, and open again.
  async function entered() {
    for (let second = 10; second < 50; second++) await enter(pen.id, `2019-12-01T10:00:${second}.000Z`, second % 2 ? back : leaving())
  }
  async function changed() {
    for (let index = 0; index < 40; index++) {
      const { order: { version } } = await readOrder(knex, 'metric', id)
      const change = { ...kept, version, remark: `change ${index}` }
      await knex.transaction(trx => changeOrder(trx, 'metric', id, change))
    }
  }
  await Promise.all([entered(), changed()])
  expect((await readOrder(knex, 'metric', id)).order).toMatchObject({ handed: false, remark: 'change 39' })
})
it('a damaged order is passed over and stops none of the others', async () => {
  const knex = database.knex()
  const [bad, good] = [orderOf([line()]), orderOf([line()])]
  for (const one of [bad, good]) await addOrder(knex, 'metric', one)
  await knex('order_lines').where({ order_id: bad.id }).update({ body: '{"price":"dear"}' })
  expect((await listOrders(knex, 'metric', {})).orders.map(one => one.order.id)).toEqual([good.id])
})
it('what is asked for a pen is kept without planning it anew', async () => {
  const knex = database.knex()
  const pen = await penOf('A1')
  const changed = await changePen(knex, pen.id, { version: 1, asked: 4200 })
  expect([changed.asked, changed.planVersion]).toEqual([4200, pen.planVersion])
})
it('every line says all that an order asks', () => {
  expect(newOrderSchema.isValidSync(orderOf([line()]))).toBe(true)
  for (const lines of [[], Array.from({ length: 101 }, () => line()), [line({ price: -1 })], [line({ price: 0.5 })]])
    expect(newOrderSchema.isValidSync(orderOf(lines))).toBe(false)
})

function without<T extends object, K extends keyof T>(whole: T, field: K): Omit<T, K> {
  const { [field]: _, ...rest } = whole
  return rest
}
