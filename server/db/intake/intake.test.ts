import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { BenchEvent } from '../../../core/bench'
import { guessMapping, intakeKind, readSheet, type IntakeName, type Mapping, type NewIntake } from '../../../schemas/intake'
import { onDatabase } from '../../../tests/database/suite'
import type { FieldsError } from '../../faults'
import { NotFoundError } from '../../faults'
import { appendEvents } from '../append'
import { changesAfter, lastChange } from '../changes'
import { listBlanks, changeBlank } from '../blanks'
import { listFittings } from '../fittings'
import { lastSeq, eventsAfter } from '../log'
import { addPlace, listPlaces } from '../places'
import { changePen, createPen } from '../pens'
import { readPrices } from '../prices'
import { projectEverywhere } from '../projections'
import { pagePens } from '../rows'
import { readShelf, changeBottle } from '../shelf'
import { intakeKnown, listIntakes, takeInSheet, undoIntake } from '.'

const database = onDatabase()
/** A sheet as it is guessed. */
async function sheetOf(name: IntakeName, text: string, change: Partial<Mapping> = {}): Promise<NewIntake> {
  const { mapping } = guessMapping(intakeKind(name), readSheet(text), await intakeKnown(database.knex()))
  return { id: randomUUID(), name, text, mapping: { ...mapping, ...change }, without: [] }
}
const within = <T>(work: (trx: Knex) => Promise<T>) => database.knex().transaction(work)
async function take(name: IntakeName, text: string, change: Partial<Mapping> = {}): Promise<string> {
  const sheet = await sheetOf(name, text, change)
  await within(trx => takeInSheet(trx, sheet))
  await projectEverywhere(database.owner(), database.pool())
  return sheet.id
}
const undo = async (id: string) => {
  await within(trx => undoIntake(trx, id))
  return (await listIntakes(database.knex())).find(one => one.id === id)!
}
const pens = async (query = {}) => (await pagePens(database.knex(), 'metric', { sort: 'marks', ...query })).pens
/** Everything that a workshop holds but the list of what was taken in. */
async function all() {
  const tables: string[] = await database.owner()('pg_tables').where({ schemaname: 'public', rowsecurity: true }).pluck('tablename')
  const own = tables.filter(one => !/^(knex|intake|changes|lessons|workshop|installation|backups|stock_log)/.test(one)).sort()
  return Promise.all(own.map(async table => [table, (await database.knex()(table)).map(row => JSON.stringify(row)).sort()]))
}
const PENS = 'Mark;Name;Fitting;Wood;Finish;Due\nB7;Plum twist;twist-7;Plum;oil;24.12.2026\n;Apple click;click-8;Apple;oil;\n'
const PAST = 'Pen;Style;Wood;Finish;Made;Minutes;Coats;Problems;Sold on;Sold for;Where\n'
  + 'Plum twist;twist-7;Plum;oil;24/12/2018;95;3;ridges;03/01/2019;42,50;Barn fair\n'
  + 'Pear click;click-8;Pear;oil;13/11/2018;;;;;;\n'

it('pens to make are planned; one without a mark has the next that is free', async () => {
  await createPen(database.knex(), {
    mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
  })
  await take('pens', PENS)
  const found = await pens({ stage: 'planned' })
  expect(found.map(({ pen: { mark, name, due } }) => [mark, name, due])).toEqual([
    ['A1', 'Apple', null], ['A2', 'Apple click', null], ['B7', 'Plum twist', '2026-12-24'],
  ])
  expect(found[2]!.summary.stepsPlanned).toBeGreaterThan(10)
})
it('pens made before are finished on their day, with what was written down, sold where that was', async () => {
  const [place] = await addPlace(database.knex(), { id: randomUUID(), name: 'Barn fair', kind: 'fair', day: null, cost: null, gone: false })
  await take('past', PAST)
  const found = await pens({ stage: 'finished', sort: 'recent' })
  expect(found.map(({ pen, summary }) => [pen.name, summary.lastEntryAt!.slice(0, 10), summary.coats.on, summary.gone?.price])).toEqual([
    ['Plum twist', '2019-01-03', 3, 4250], ['Pear click', '2018-11-13', 0, undefined],
  ])
  expect((await listPlaces(database.knex()))[0]).toMatchObject({ id: place!.id, sum: { sold: 1, taken: 4250 } })
  const told: object[] = await database.knex()('pen_told').orderBy('ended')
  expect(told).toMatchObject([
    { wood: 'Pear', defects: [], figures: {} }, { wood: 'Plum', defects: ['ridges'], figures: { minutes: 95 }, tool: null },
  ])
  // No set, no bottle and no wait is counted off for what was made before.
  expect(await database.knex()('facts').whereNotIn('kind', ['leave'])).toEqual([])
})
it('blanks, fittings and bottles with their prices; what stood on the shelf before stays but for what is said', async () => {
  const knex = database.knex()
  await changeBottle(knex, { item: 'thin-ca', keeps: 90, size: 20 })
  await take('blanks', 'name,wood,count,price\nOld pear,pear,3,2.40\nKnot,,2,\n')
  await take('fittings', 'name,bit,tube length,tube outside,tip end,clip end,sets,price\nStub,8,40,7.8,11,12,4,6.5\n')
  await take('bottles', 'product,opened,left,price\nThin CA,2026-11-01,12.5,8.2\nFinishing oil,,100,\n')
  const [blanks, sets, shelf, prices] = [await listBlanks(knex), await listFittings(knex), await readShelf(knex), await readPrices(knex)]
  expect(blanks.map(({ name, material, count }) => [name, material, count])).toEqual([['Old pear', 'pear', 3], ['Knot', null, 2]])
  const stub = sets.find(({ fitting }) => fitting.name === 'Stub')!
  expect([stub.sets, prices[`fitting:${stub.fitting.id}`], prices[`blank:${blanks[0]!.id}`]]).toEqual([4, 650, 240])
  const bottle = (id: string) => shelf.products.find(one => one.id === id)?.bottle
  expect(bottle('thin-ca')).toEqual({ opened: '2026-11-01', left: 12.5, keeps: 90, size: 20, price: 820 })
  expect(bottle('finishing-oil')).toEqual({ left: 100 })
})
it('a fault in one row keeps all out and is told at its row and field; left out, the others come in', async () => {
  const before = await all()
  const sheet = await sheetOf('blanks', 'name,count\nOld pear,3\nKnot,many\n,4\n')
  const refused = await within(trx => takeInSheet(trx, sheet)).catch((error: unknown) => error)
  expect((refused as FieldsError).fields).toEqual({
    'rows[3].count': '“many” is not one number.', 'rows[4].name': 'Is missing: fill it in.',
  })
  expect(await all()).toEqual(before)
  await within(trx => takeInSheet(trx, { ...sheet, without: [3, 4] }))
  expect((await listBlanks(database.knex())).map(one => one.name)).toEqual(['Old pear'])
  // Sent once more, because the answer was lost, nothing comes in twice.
  await within(trx => takeInSheet(trx, { ...sheet, without: [3, 4] }))
  expect(await listBlanks(database.knex())).toHaveLength(1)
  expect(await listIntakes(database.knex())).toMatchObject([{ id: sheet.id, name: 'blanks', rows: 1, undone: null, kept: null }])
})
it('sent twice at the same moment, it comes in once and neither is refused', async () => {
  const sheet = await sheetOf('blanks', 'name\nOld pear\n')
  await Promise.all([1, 2, 3].map(() => within(trx => takeInSheet(trx, sheet))))
  expect(await listBlanks(database.knex())).toHaveLength(1)
})
it('a mark that another pen has meanwhile is told, and nothing comes in', async () => {
  const sheet = await sheetOf('pens', PENS)
  await take('pens', PENS)
  const before = await all()
  const refused = await within(trx => takeInSheet(trx, sheet)).catch((error: unknown) => error)
  expect((refused as FieldsError).fields).toEqual({ 'rows[2].mark': 'B7 is on “Plum twist” already. B8 is free.' })
  expect(await all()).toEqual(before)
})
it.each<[IntakeName, string]>([
  ['pens', PENS], ['past', PAST.replace('Barn fair', '')],
  ['blanks', 'name,price\nOld pear,2.4\n'], ['bottles', 'product,left\nThin CA,3\nThin CA,4\nFinishing oil,50\n'],
  ['fittings', 'name,bit,tube length,tube outside,tip end,clip end,price\nStub,8,40,7.8,11,12,6.5\n'],
])('%s are undone as one: the workshop is as it was, and screens hear of it', async (name, text) => {
  const before = await all()
  const id = await take(name, text)
  expect(await all()).not.toEqual(before)
  const heard = await lastChange(database.knex())
  expect(await undo(id)).toMatchObject({ undone: expect.any(String), kept: 0 })
  expect(await all()).toEqual(before)
  expect((await changesAfter(database.knex(), heard, 100)).changes).not.toEqual([])
  // Once more, it is undone already.
  expect(await undo(id)).toMatchObject({ kept: 0 })
  await expect(within(trx => undoIntake(trx, randomUUID()))).rejects.toThrow(NotFoundError)
})
it('what something was done with since stays when it is undone', async () => {
  const knex = database.knex()
  const planned = await take('pens', `${PENS};Third;click-8;Apple;oil;\n`)
  const [first, second, third] = (await pens()).map(one => one.pen)
  await changePen(knex, first!.id, { version: 1, name: 'Renamed' })
  const entry: BenchEvent = {
    id: randomUUID(), pen: second!.id, kind: 'remark', payload: { text: 'x', step: null }, barrels: [], at: '2019-11-01T08:00:00.000Z',
    device: 'x',
  }
  await appendEvents(knex, [entry])
  expect((await undo(planned)).kept).toBe(2)
  expect((await pens()).map(one => one.pen.id)).toEqual([first!.id, second!.id])
  expect(third).toBeDefined()

  const wood = await take('blanks', 'name\nOld pear\nKnot\n')
  const [old] = await listBlanks(knex)
  const { id, readings: _, ...as } = old!
  await changeBlank(knex, id, { ...as, count: 5 })
  expect((await undo(wood)).kept).toBe(1)
  expect((await listBlanks(knex)).map(one => one.name)).toEqual(['Old pear'])

  const bottles = await take('bottles', 'product,left\nThin CA,3\nMedium CA,4\n')
  await changeBottle(knex, { item: 'thin-ca', left: 2 })
  expect((await undo(bottles)).kept).toBe(1)
  const left = (await readShelf(knex)).products.flatMap(one => (one.bottle?.left === undefined ? [] : [[one.id, one.bottle.left]]))
  expect(left).toEqual([['thin-ca', 2]])
})
it('numbers of entries that are undone are given to nobody again: whoever has seen them misses nothing after', async () => {
  const knex = database.knex()
  const id = await take('past', PAST.replace('Barn fair', ''))
  const seen = await lastSeq(knex)
  await undo(id)
  await take('past', PAST.replace('Barn fair', ''))
  expect((await eventsAfter(knex, seen, 100)).map(one => one.kind).sort()).toEqual(['leave', 'made', 'made'])
})
it('five hundred pens of one kind come in with one plan for all, by as few statements for many as for some', async () => {
  const row = (index: number) => `Pen ${index};click-8;Pear;oil;${1 + (index % 28)}.10.2018\n`
  const text = `Pen;Style;Wood;Finish;Made\n${Array.from({ length: 500 }, (_, index) => row(index)).join('')}`
  const sheet = await sheetOf('past', text)
  let statements = 0
  const knex = database.knex()
  knex.on('query', () => (statements += 1))
  await within(trx => takeInSheet(trx, sheet))
  expect(statements).toBeLessThan(60)
  expect(await knex('plans').count('* as count').first()).toEqual({ count: '500' })
})
