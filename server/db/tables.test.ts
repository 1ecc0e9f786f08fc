import { copyPens } from '../../tests/database/many'
import { onDatabase } from '../../tests/database/suite'
import { createPen } from './pens'
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
