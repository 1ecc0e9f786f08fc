import { randomUUID } from 'node:crypto'
import type { BenchEvent } from '../../core/bench'
import { onDatabase } from '../../tests/database/suite'
import type { NewClass } from '../../schemas'
import { ConflictError, FieldsError, NotForYouError, NotFoundError } from '../faults'
import { appendBatches } from './append'
import { changeClass, createClass, giveMarks, listClasses, readClass, refuseFixed, seatPupils } from './classes'
import { readPen } from './pens'
import { readPlan } from './plans'

const database = onDatabase()
const knex = () => database.knex()
const WORK = {
  looks: ['turn' as const], cautions: ['Shield on'], tools: ['Skew'], clearing: ['Shavings'], free: ['name' as const], criteria: ['Shape'],
}
const [ash, birch] = [randomUUID(), randomUUID()]
const wanted = (change: Partial<NewClass> = {}): NewClass => ({
  id: randomUUID(), name: 'Saturday', fitting: 'click-8', material: 'apple', method: 'oil', tool: 'skew', film: 'gloss', work: WORK,
  people: [ash, birch], ...change,
})
const make = (change: Partial<NewClass> = {}) => knex().transaction(trx => createClass(trx, wanted(change)))
const batch = (pen: string, entries: readonly Pick<BenchEvent, 'kind' | 'payload'>[], own?: string) => ({
  events: entries.map((entry, index) => ({
    ...entry, id: randomUUID(), pen, barrels: [], device: 'phone',
    at: new Date(Date.parse('2026-11-23T19:00:00.000Z') + index * 1000).toISOString(),
  })) as BenchEvent[],
  receivedAt: Date.now(), own,
})

it('each pupil has a pen of the same plan, marked apart; the same class twice is once, who comes later gets one too', async () => {
  const made = await make()
  expect(made).toMatchObject({ name: 'Saturday', pens: 2, ended: false })
  await make({ id: made.id })
  const { seats } = await readClass(knex(), 'metric', made.id)
  expect(seats.map(one => one.person).sort()).toEqual([ash, birch].sort())
  expect(new Set(seats.map(one => one.pen.pen.mark)).size).toBe(2)
  const plans = await Promise.all(seats.map(one => readPlan(knex(), one.pen.pen)))
  expect(plans[0]!.steps).toEqual(plans[1]!.steps)
  const late = randomUUID()
  await knex().transaction(trx => seatPupils(trx, made.id, [ash, late, late]))
  expect((await readClass(knex(), 'metric', made.id)).seats).toHaveLength(3)
  expect(await listClasses(knex())).toMatchObject([{ id: made.id, pens: 3 }])
})
it('only a teacher says that something was looked at; what was too early is seen', async () => {
  const made = await make({ people: [ash] })
  const pen = (await readClass(knex(), 'metric', made.id)).seats[0]!.pen.pen
  const { steps } = await readPlan(knex(), pen)
  const upTo = steps.findIndex(step => step.kind === 'turn')
  const work = steps.slice(0, upTo + 1).map(step => ({ kind: 'done' as const, payload: { step: step.id } }))
  const seen = { kind: 'gate' as const, payload: { gate: 'turn', how: 'seen' as const } }
  await expect(knex().transaction(trx => appendBatches(trx, [batch(pen.id, [seen], ash)]))).rejects.toThrow(FieldsError)
  await knex().transaction(trx => appendBatches(trx, [batch(pen.id, work, ash)]))
  const [early] = (await readClass(knex(), 'metric', made.id)).seats
  expect(early!.standing).toMatchObject({ early: [{ gate: 'turn' }], looked: { taken: 0, all: 1 } })
  await knex().transaction(trx => appendBatches(trx, [batch(pen.id, [seen])]))
  expect((await readClass(knex(), 'metric', made.id)).seats[0]!.standing!.looked).toEqual({ taken: 1, all: 1 })
})
it('a pupil changes what is free and nothing else, until the class is over', async () => {
  const made = await make({ people: [ash] })
  const { id } = (await readClass(knex(), 'metric', made.id)).seats[0]!.pen.pen
  await refuseFixed(knex(), id, { version: 1, name: 'Mine' })
  for (const change of [{ version: 1, material: 'pear' }, { version: 1, name: 'x', method: 'oil' }, 'plan' as const])
    await expect(refuseFixed(knex(), id, change)).rejects.toThrow(NotForYouError)
  await changeClass(knex(), made.id, { version: 1, name: 'Saturday', work: WORK, ended: true })
  await refuseFixed(knex(), id, { version: 1, material: 'pear' })
  await expect(changeClass(knex(), made.id, { version: 1, name: 'x', work: WORK, ended: false })).rejects.toThrow(ConflictError)
})
it('marks stand with their pen, the last ones; a pen of no class gets none', async () => {
  const made = await make({ people: [ash] })
  const { id } = (await readClass(knex(), 'metric', made.id)).seats[0]!.pen.pen
  await giveMarks(knex(), made.id, { pen: id, points: [7.5], words: 'A clean end' })
  await giveMarks(knex(), made.id, { pen: id, points: [8], words: 'A clean end' })
  expect((await readClass(knex(), 'metric', made.id)).seats[0]!.marks).toEqual({ points: [8], words: 'A clean end' })
  await expect(giveMarks(knex(), randomUUID(), { pen: id, points: [], words: '' })).rejects.toThrow(NotFoundError)
  expect(await readPen(knex(), id)).toMatchObject({ maker: ash, classId: made.id, name: 'Saturday' })
})
