import { randomUUID } from 'node:crypto'
import type { BenchEvent, Entry } from '../../core/bench'
import type { Pen } from '../../contract'
import type { Bought } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { FieldsError } from '../faults'
import { appendEvents } from './append'
import { createBlank, readBlank } from './blanks'
import { changeFitting, readFitting } from './fittings'
import { createPen } from './pens'
import { readPlan } from './plans'
import { changePrice, readPrices } from './prices'
import { changeBottle, changeShelf, readShelf } from './shelf'
import { bookIn, changeSupply, readSupplies } from './supplies'

const database = onDatabase()
const bought = (what: string, pieces: number, each: number | null = null): Bought => ({ id: randomUUID(), what, pieces, each })
const sets = async () => (await readFitting(database.knex(), 'click-8'))!.sets
const penOf = (mark: string): Promise<Pen> => createPen(database.knex(), {
  mark, name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew', film: 'gloss',
})
const enter = (pen: string, entry: Entry, seconds = 0): Promise<string[]> => appendEvents(database.knex(), [{
  ...entry, id: randomUUID(), pen, barrels: ['only'], device: 'tablet', at: new Date(Date.now() + 1000 + seconds * 1000).toISOString(),
} as BenchEvent])
const done = (step: string): Entry => ({ kind: 'done', payload: { step } })

it('what is booked in is on the shelf, once for each id; what there was before is kept', async () => {
  const knex = database.knex()
  const before = await sets()
  const one = bought('fitting:click-8', 4, 650)
  await bookIn(knex, one)
  const { moves } = await bookIn(knex, one)
  expect(await sets()).toBe(before + 4)
  expect(moves).toMatchObject([{ what: 'fitting:click-8', how: 'bought', was: before, now: before + 4, pieces: 4, each: 650 }])

  const { id } = await createBlank(knex, { name: 'Apple stick', material: 'apple', classes: [], count: 2, damp: false } as never)
  await bookIn(knex, bought(`blank:${id}`, 3))
  expect((await readBlank(knex, id))!.count).toBe(5)
  await bookIn(knex, bought('bottle:thin-ca', 2, 720))
  expect((await readShelf(knex)).products.find(row => row.id === 'thin-ca')!.bottle).toMatchObject({ sealed: 2, price: 720 })
  await bookIn(knex, bought('abrasive:P-320', 10))
  expect((await readShelf(knex)).abrasives.find(row => row.id === 'P-320')!.count).toBe(10)
  await bookIn(knex, bought('material:apple', 5, 250))
  expect((await readPrices(knex))['material:apple']).toBe(250)
  for (const what of ['fitting:none', 'bottle:none', 'abrasive:none', `blank:${randomUUID()}`, 'constructor:x'])
    await expect(bookIn(knex, bought(what, 1))).rejects.toThrow(FieldsError)
  // What is off the shelf comes back with what was bought of it.
  await changeShelf(knex, { item: 'P-400', there: false })
  await bookIn(knex, bought('abrasive:P-400', 1))
  expect((await readShelf(knex)).abrasives.map(row => row.id)).toContain('P-400')
})
it('of two lots the older one goes first: the next set costs what its lot did, and what is given back costs that again', async () => {
  const knex = database.knex()
  const { fitting, bushings, version } = (await readFitting(knex, 'click-8'))!
  const { id: _, source: __, ...rest } = fitting
  await changeFitting(knex, 'click-8', { ...rest, bushings, version, sets: 0 } as never)
  await bookIn(knex, bought('fitting:click-8', 1, 500))
  await bookIn(knex, bought('fitting:click-8', 2, 650))
  const price = async () => (await readPrices(knex))['fitting:click-8']
  const seen = [[await price(), await sets()]]
  const pens = [await penOf('A1'), await penOf('A2')]
  for (const pen of pens) {
    await enter(pen.id, done('parts'))
    seen.push([await price(), await sets()])
  }
  // Given up before its tube was in, a pen gives its set back.
  await enter(pens[1]!.id, { kind: 'away', payload: { how: 'given up', why: '' } }, 60)
  seen.push([await price(), await sets()])
  await enter(pens[0]!.id, { kind: 'away', payload: { how: 'given up', why: '' } }, 60)
  seen.push([await price(), await sets()])
  expect(seen).toEqual([[500, 3], [650, 2], [650, 1], [650, 2], [500, 3]])
  // A price that is said by hand is what all of them cost.
  expect((await changePrice(knex, { what: 'fitting:click-8', minor: 700 }))['fitting:click-8']).toBe(700)
})
it('sheets are worn out by the log, never below none; a count puts it right and the difference is kept', async () => {
  const knex = database.knex()
  await changeShelf(knex, { item: 'P-320', there: true, count: 2 })
  const left = async () => (await readShelf(knex)).abrasives.find(row => row.id === 'P-320')!.count
  const pen = await penOf('A1')
  const { steps } = await readPlan(knex, pen)
  const grit = steps.find(step => 'abrasive' in step && step.abrasive.id === 'P-320')!
  await enter(pen.id, done(grit.id))
  const worn = await knex('facts').where({ kind: 'sheet', about: 'P-320' }).first('body')
  expect(worn.body.uses).toBeGreaterThan(0)
  expect(await left()).toBe(2)
  // As many as it takes to wear more than there is.
  await knex('facts').where({ kind: 'sheet', about: 'P-320' }).update({ body: JSON.stringify({ ...worn.body, uses: 1.2 }) })
  expect(await left()).toBe(1)
  await knex('facts').where({ kind: 'sheet', about: 'P-320' }).update({ body: JSON.stringify({ ...worn.body, uses: 9.5 }) })
  expect(await left()).toBe(0)
  await changeShelf(knex, { item: 'P-320', there: true, count: 3 })
  expect((await readSupplies(knex)).moves[0]).toMatchObject({ what: 'abrasive:P-320', how: 'counted', was: 0, now: 3 })
  await changeBottle(knex, { item: 'thin-ca', left: 12 } as never)
  await changeBottle(knex, { item: 'thin-ca', left: 8 } as never)
  expect((await readSupplies(knex)).moves[0]).toMatchObject({ what: 'bottle:thin-ca', was: 12, now: 8 })
})
it('the sheet in hand wears by the log; what is said of one of them leaves the other as the log has it', async () => {
  const knex = database.knex()
  const paper = async () => {
    const { count, worn = 0 } = (await readShelf(knex)).abrasives.find(one => one.id === 'P-320')!
    return [count, Math.round(worn * 1000) / 1000]
  }
  const pen = await penOf('A5')
  const { steps } = await readPlan(knex, pen)
  await changeShelf(knex, { item: 'P-320', there: true, count: 3, worn: 0.25 })
  const until = steps.slice(0, steps.findIndex(one => one.kind === 'sand' && one.abrasive.id === 'P-320') + 1)
  for (const [index, { id }] of until.entries()) await enter(pen.id, done(id), index + (index % 3) / 5)
  const wear = (uses: number) =>
    knex('facts').where({ kind: 'sheet', about: 'P-320' }).update({ body: JSON.stringify({ uses }), at: knex.fn.now() })
  // Three with a quarter gone, and half a sheet used: three, one of them three quarters gone. One and a half: two, the same.
  const seen: (number | undefined)[][] = []
  for (const uses of [0.5, 1.5, 2.75, 9]) {
    await wear(uses)
    seen.push(await paper())
  }
  expect(seen).toEqual([[3, 0.75], [2, 0.75], [0, 0], [0, 0]])
  await wear(0.5)
  await changeShelf(knex, { item: 'P-320', there: true, count: 5 })
  expect(await paper()).toEqual([5, 0.75])
  await changeShelf(knex, { item: 'P-320', there: true, worn: 0 })
  expect(await paper()).toEqual([5, 0])
  await bookIn(knex, bought('abrasive:P-320', 10))
  expect(await paper()).toEqual([15, 0])
})
it('pen blanks booked in for a pen each go as they are cut, the oldest lot first; what nobody booked in is not counted', async () => {
  const knex = database.knex()
  await bookIn(knex, bought('material:apple', 1, 200))
  await bookIn(knex, bought('material:apple', 2, 310))
  const stand = async () => [(await readSupplies(knex)).penBlanks, (await readPrices(knex))['material:apple']]
  const seen = [await stand()]
  for (const mark of ['A6', 'A7', 'A8', 'A9']) {
    const pen = await penOf(mark)
    const { steps } = await readPlan(knex, pen)
    for (const [index, { id }] of steps.slice(0, steps.findIndex(one => one.kind === 'cut') + 1).entries())
      await enter(pen.id, done(id), index)
    seen.push(await stand())
  }
  expect(seen).toEqual([[{ apple: 3 }, 200], [{ apple: 2 }, 310], [{ apple: 1 }, 310], [{ apple: 0 }, 310], [{ apple: 0 }, 310]])
  await expect(bookIn(knex, bought('material:none', 1))).rejects.toThrow(FieldsError)
})
it('where something is bought is said once and changed', async () => {
  const knex = database.knex()
  await changeSupply(knex, { what: 'bottle:thin-ca', source: 'the glue shop', pack: 1 })
  const { supplies } = await changeSupply(knex, { what: 'bottle:thin-ca', source: 'a fair', pack: 3 })
  expect(supplies).toEqual([{ what: 'bottle:thin-ca', source: 'a fair', pack: 3 }])
})
