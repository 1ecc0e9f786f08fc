import { randomUUID } from 'node:crypto'
import { copyPens } from '../../tests/database/many'
import { onDatabase } from '../../tests/database/suite'
import { appendEvents } from './append'
import { addCustomer } from './customers'
import { eveningDone } from './evening-done'
import { addOrder } from './orders'
import { createPen } from './pens'
import { addPlace } from './places'
import { columnsOf, tableRows, type TableRow } from './tables'
import { withinWorkshop } from './within'

const database = onDatabase()
const all = async (table: Parameters<typeof tableRows>[1], lots: number[] = []) => {
  const rows: TableRow[] = []
  for await (const lot of tableRows(withinWorkshop(database.knex(), database.workshop()), table)) {
    lots.push(lot.length)
    rows.push(...lot)
  }
  return rows
}
const wanted = {
  mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss',
} as const

it('every row comes once, lot by lot, facts of one moment too', async () => {
  const knex = database.knex()
  const { id } = await createPen(knex, wanted)
  await copyPens(knex, database.owner(), id, 2301)
  const lots: number[] = []
  const pens = await all('pens', lots)
  const marks: string[] = await knex('pens').pluck('mark')
  expect(pens.map(one => one.mark).sort()).toEqual(marks.sort())
  expect(lots.every(one => one <= 1000) && lots.length > 2).toBe(true)
  const at = '2019-11-30T18:00:00.000Z'
  await knex.batchInsert('facts', Array.from({ length: 2500 }, (_, place) =>
    ({ pen_id: id, kind: 'diameter', about: 'only', at, place, body: JSON.stringify({ mm: place, fromTip: 1, step: 'turn' }) })))
  const told = await all('diameters')
  expect(told.map(one => one.diameter_mm).sort((a, b) => Number(a) - Number(b))).toEqual(Array.from({ length: 2500 }, (_, place) => place))
})
it('orders, sales and stock stand in whole units of the workshop’s money', async () => {
  const knex = database.knex()
  await knex('workshop').update({ currency: 'JPY' })
  const { id } = await createPen(knex, wanted)
  const [fair, of, order] = [randomUUID(), randomUUID(), randomUUID()]
  await addPlace(knex, { id: fair, name: 'Barn fair', kind: 'fair', day: null, cost: null, gone: false })
  await addCustomer(knex, { id: of, name: 'The association', reach: '', remark: '' })
  const line = { material: 'pear', fitting: null, method: null, refill: 'blue', packing: '', wish: '', price: 5200 }
  await addOrder(knex, 'metric', {
    id: order, kind: 'order', customer: of, promised: '2019-12-05', deposit: 1000, remark: '', calledOff: false,
    lines: [{ id: randomUUID(), pen: id, ...line }, { id: randomUUID(), pen: null, ...line }],
  })
  expect(await all('orders')).toMatchObject([
    { order: 1, line: 0, customer: 'The association', promised: '2019-12-05', state: 'open', mark: 'A1', refill: 'blue', price: 5200 },
    { order: 1, line: 1, mark: null, deposit: 1000, currency: 'JPY' },
  ])
  const payload = { how: 'sold' as const, price: 5200, place: fair, customer: of, order, with: [], words: '' }
  const at = '2019-12-01T12:00:00.000Z'
  await appendEvents(knex, [{ id: randomUUID(), pen: id, kind: 'leave', payload, barrels: [], at, device: 'x' }])
  await knex('workshop').update({ currency: 'GBP' })
  expect(await all('sales')).toMatchObject([{ mark: 'A1', how: 'sold', price: 52, currency: 'GBP', where: 'Barn fair', order: 1 }])
  await knex('stock_log').insert({ id: randomUUID(), what: 'bottle:thin-ca', how: 'bought', pieces: 2, each: 820 })
  expect(await all('stock')).toMatchObject([{ what: 'bottle:thin-ca', how: 'bought', pieces: 2, each: 8.2, was: null }])
  for (const table of ['orders', 'sales', 'stock'] as const) expect(Object.keys((await all(table))[0]!)).toEqual(columnsOf(table))
})
it('an evening’s sum is of what was done in it and nothing else', async () => {
  const knex = database.knex()
  const { id } = await createPen(knex, wanted)
  const fact = (place: number, kind: string, about: string, at: string, body: object) =>
    ({ pen_id: id, kind, about, at: `2019-12-01T${at}:00.000Z`, place, body: JSON.stringify(body) })
  await knex('facts').insert([
    fact(0, 'step', 'coat', '19:00', { seconds: 100 }), fact(1, 'step', 'sand', '20:00', { seconds: 50 }),
    fact(2, 'step', 'coat', '23:30', { seconds: 999 }), fact(0, 'use', 'thin-ca', '19:00', { ml: 0.4 }),
    fact(1, 'use', 'thin-ca', '19:30', { ml: 0.5 }), fact(0, 'sheet', 'P-320', '20:00', { uses: 0.2 }),
    fact(1, 'sheet', 'pad-1800', '20:00', { uses: 0 }), fact(0, 'leave', 'sold', '21:00', { how: 'sold', price: 4200 }),
  ])
  const sum = await eveningDone(knex, '2019-12-01T18:00:00.000Z', '2019-12-01T23:30:00.000Z')
  expect(sum).toEqual({
    steps: 2, pens: 1, coats: 1, seconds: 150, bottles: [{ id: 'thin-ca', ml: 0.9 }], sheets: [{ id: 'P-320', pieces: 0.2 }], sold: 1,
    taken: 4200,
  })
})
it('a row that is damaged has empty cells, and stops none', async () => {
  const knex = database.knex()
  const { id } = await createPen(knex, wanted)
  await knex('pen_rows').where({ pen_id: id }).update({ body: null })
  const body = '{"defect":{"mends":"none","size":"large"}}'
  await knex('facts').insert({ pen_id: id, kind: 'defect', about: 'chip', at: new Date(), place: 0, body })
  expect(await all('pens')).toMatchObject([{ mark: 'A1', pen: 'Apple', fitting: null, hands_on_min: null }])
  expect(await all('defects')).toMatchObject([{ mark: 'A1', defect: 'chip', size_mm: null, mends: null }])
  expect(Object.keys((await all('pens'))[0]!)).toEqual(columnsOf('pens'))
})
