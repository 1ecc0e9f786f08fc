import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { BenchEvent } from '../../core/bench'
import { onDatabase } from '../../tests/database/suite'
import { appendTogether, type Place } from './append-together'
import { eventsOf } from './log'
import { createPen } from './pens'

const database = onDatabase()
let [knex, pen]: [Knex, string] = [undefined as never, '']
const place: Place = { workshop: 'here', within: work => knex.transaction(work) }
beforeEach(async () => {
  knex = database()
  const made = await createPen(knex, {
    mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss',
  })
  pen = made.id
})
const look = (of = pen, id = randomUUID()): BenchEvent => ({
  id, pen: of, kind: 'look', payload: { step: 'sand.P-220', answer: 'not yet' }, barrels: ['only'], device: 'test',
  at: '2026-11-23T18:00:00.000Z',
})

it('what comes in at the same moment goes in few transactions, each entry once, and each sender is told of its own', async () => {
  let begun = 0
  const hear = ({ sql }: { sql: string }) => {
    if (/^begin/i.test(sql)) begun++
  }
  knex.on('query', hear)
  const batches = Array.from({ length: 20 }, () => [look(), look()])
  const answers = await Promise.all(batches.map(batch => appendTogether(place, batch)))
  knex.removeListener('query', hear)
  expect(answers).toEqual(batches.map(batch => batch.map(event => event.id)))
  expect((await eventsOf(knex, pen)).map(event => event.id).sort()).toEqual(batches.flat().map(event => event.id).sort())
  // The first goes at once, and while it runs the others gather.
  expect(begun).toBeLessThanOrEqual(3)
})

it('as many statements keep one entry as forty of three pens, and few', async () => {
  const others = await Promise.all(['A2', 'A3'].map(mark => createPen(knex, {
    mark, name: 'Pear', reason: null, due: null, fitting: 'click-8', material: 'pear', method: 'oil', tool: 'skew', film: 'gloss',
  })))
  const pens = [pen, ...others.map(one => one.id)]
  let asked = 0
  knex.on('query', () => (asked += 1))
  async function statementsOf(entries: readonly BenchEvent[]): Promise<number> {
    asked = 0
    await appendTogether(place, entries)
    return asked
  }
  // Their plans are known from here on.
  await statementsOf(pens.map(one => look(one)))
  const one = await statementsOf([look()])
  expect(one).toBeLessThanOrEqual(7)
  expect(await statementsOf(Array.from({ length: 40 }, (_, index) => look(pens[index % pens.length])))).toBe(one)
})

it('an entry that two send at once is new for one of them', async () => {
  const twice = look()
  const answers = await Promise.all([[look()], [twice], [look(), twice]].map(batch => appendTogether(place, batch)))
  expect(answers.flat().filter(id => id === twice.id)).toHaveLength(1)
  expect(await eventsOf(knex, pen)).toHaveLength(3)
})

it('what one may not append harms no other, and none of it is kept', async () => {
  const stray = [look(), look(randomUUID())]
  const sent = [[look()], stray, [look()], [look()]].map(batch => appendTogether(place, batch))
  const answers = await Promise.allSettled(sent)
  expect(answers.map(one => one.status)).toEqual(['fulfilled', 'rejected', 'fulfilled', 'fulfilled'])
  expect(answers[1]).toMatchObject({ reason: { fields: { 'events[1].pen': 'There is no such pen in this workshop.' } } })
  expect(await eventsOf(knex, pen)).toHaveLength(3)
})

it('a clock that is wrong is measured by when its own batch came in', async () => {
  const hour = new Date(Date.now() + 3_600_000).toISOString()
  const now = new Date().toISOString()
  await Promise.all([undefined, hour, now].map(sentAt => appendTogether(place, [look()], { sentAt })))
  const ahead = (await eventsOf(knex, pen)).map(event => event.ahead)
  expect(ahead.filter(one => one === undefined)).toHaveLength(1)
  expect(ahead.filter(one => one === 0)).toHaveLength(1)
  expect(ahead.filter(one => one && Math.abs(one - 3_600_000) < 5000)).toHaveLength(1)
})

it('a database that is away is not asked once for each who waits', async () => {
  let asked = 0
  const within = async () => {
    asked++
    throw Object.assign(new Error('connection refused'), { code: 'ECONNREFUSED' })
  }
  const answers = await Promise.allSettled(Array.from({ length: 10 }, () => appendTogether({ workshop: 'away', within }, [look()])))
  expect(answers.every(one => one.status === 'rejected')).toBe(true)
  expect(asked).toBe(2)
})
