import type { Knex } from 'knex'
import type { NewPen } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { setUpDemo } from './demo'
import { createPen, changePen } from './pens'
import { atHand } from './at-hand'
import { readPlan } from './plans'

const database = onDatabase()
const wanted: NewPen = {
  mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss',
}
/** How often something reads whole plans. */
async function readings(knex: Knex, ask: () => Promise<unknown>): Promise<number> {
  let count = 0
  const hear = ({ sql }: { sql: string }) => {
    if (sql.includes('"base"."body"')) count++
  }
  knex.on('query', hear)
  await ask()
  knex.removeListener('query', hear)
  return count
}

it('a plan is read once, and is another as soon as the pen has another', async () => {
  const knex = database.knex()
  const pen = await createPen(knex, wanted)
  const first = (await atHand(knex, [pen.id])).get(pen.id)?.plan
  expect(first).toEqual(await readPlan(knex, pen))
  expect(await readings(knex, () => atHand(knex, [pen.id]))).toBe(0)
  expect((await atHand(knex, [pen.id])).get(pen.id)?.plan).toBe(first)
  const changed = await changePen(knex, pen.id, { version: 1, film: 'close' })
  expect((await atHand(knex, [pen.id])).get(pen.id)?.plan).toEqual(await readPlan(knex, changed))
  // As somebody might mend damaged data by hand.
  await knex('plans').where({ pen_id: pen.id, version: 1 }).update({ body: '{"form":7}' })
  const logged = jest.spyOn(console, 'error').mockImplementation(() => {})
  expect((await atHand(knex, [pen.id])).get(pen.id)?.plan).toBeUndefined()
  logged.mockRestore()
})

it('a plan that was kept by nobody in the end is never seen, nor one of another workshop', async () => {
  const knex = database.knex()
  const pen = await createPen(knex, wanted)
  const before = await readPlan(knex, pen)
  await knex.transaction(async (trx) => {
    await changePen(trx, pen.id, { version: 1, film: 'close' })
    expect((await atHand(trx, [pen.id])).get(pen.id)?.plan).not.toEqual(before)
    throw new Error('taken back')
  }).catch(() => undefined)
  expect((await atHand(knex, [pen.id])).get(pen.id)?.plan).toEqual(before)
  const { id } = await setUpDemo(database.owner(), new Date())
  expect((await atHand(database.pool(id), [pen.id])).size).toBe(0)
})
