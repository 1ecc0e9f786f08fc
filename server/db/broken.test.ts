import { randomUUID } from 'node:crypto'
import type { BenchEvent } from '../../core/bench'
import type { NewPen } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { appendEvents } from './append'
import { pageDefects } from './defects'
import { eventsOf } from './log'
import { changePen, createPen, readPen, replanPen } from './pens'
import { projectAll, projectPens } from './projections'
import { recordOf } from './record'
import { inWork, nextDue, pagePens } from './rows'

const database = onDatabase()
const logged = jest.spyOn(console, 'error').mockImplementation(() => {})
beforeEach(() => logged.mockClear())

const wanted = (mark: string): NewPen => ({
  mark, name: 'Apple', reason: null, due: '2030-01-01', fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss',
})
const entry = (pen: string, kind: string, payload: object): BenchEvent => ({
  id: randomUUID(), pen, kind, payload, barrels: ['only'], device: 'tablet', at: new Date(Date.UTC(2026, 10, 23, 20)).toISOString(),
}) as unknown as BenchEvent

/** Two pens in work, one of which will be damaged. */
async function twoPens() {
  const knex = database.knex()
  const [harmed, other] = [await createPen(knex, wanted('A1')), await createPen(knex, wanted('A2'))]
  for (const { id } of [harmed, other]) await appendEvents(knex, [entry(id, 'done', { step: 'parts' })])
  return { knex, harmed: harmed.id, other: other.id }
}

/** What every list and page asks; fails where one row keeps any of it from being answered. */
async function everythingOpens(harmed: string, other: string) {
  const knex = database.knex()
  const { pens } = await pagePens(knex, 'metric', {})
  expect(pens.map(one => one.pen.mark).sort()).toEqual(['A1', 'A2'])
  const of = (id: string) => pens.find(one => one.pen.id === id)!.summary
  expect(of(other).broken).toBeUndefined()
  expect(of(other)).toMatchObject({ stage: 'in work', stepsDone: 1 })
  expect((await inWork(knex)).map(pen => pen.id)).toContain(other)
  expect(await nextDue(knex)).toMatchObject({ all: 2 })
  await pageDefects(knex, {})
  expect(await eventsOf(knex, harmed)).not.toHaveLength(0)
  return of(harmed)
}

/** Ways a plan may be damaged, as an update of its body. */
const DAMAGES: [string, string][] = [
  ['is empty', '{}'],
  ['is a word', '"x"'],
  ['has no steps', 'body - \'steps\''],
  ['has no inputs', 'body - \'inputs\''],
  ['has a step that is nothing', 'jsonb_set(body, \'{steps,3}\', \'null\')'],
  ['has a step of no kind', 'jsonb_set(body, \'{steps,3,kind}\', \'"whittle"\')'],
  ['has steps without anything in them', 'jsonb_set(body, \'{steps}\', \'[{}, {}]\')'],
  ['has no fitting', 'body #- \'{inputs,fitting}\''],
  ['has a fitting without barrels', 'jsonb_set(body, \'{inputs,fitting,barrels}\', \'[]\')'],
  ['has no material', 'jsonb_set(body, \'{inputs,material}\', \'null\')'],
  ['has no method', 'body #- \'{inputs,method}\''],
  ['has no shelf', 'body #- \'{inputs,shelf}\''],
  ['has no climate', 'body #- \'{inputs,climate}\''],
  ['has no wishes', 'jsonb_set(body, \'{inputs,wishes}\', \'"none"\')'],
]

it.each(DAMAGES)('a plan that %s is one row that says so; all else works; planned anew it is whole', async (_how, body) => {
  const { knex, harmed, other } = await twoPens()
  await database.owner()('plans').where({ pen_id: harmed }).update({ body: database.owner().raw(/^[{"]/.test(body) ? `'${body}'::jsonb` : body) })
  await knex.transaction(trx => projectPens(trx, [harmed]))
  const { broken, stage } = await everythingOpens(harmed, other)
  // Some damage is none to what is worked out: then the pen is as whole as any.
  if (broken !== undefined) {
    expect([broken, stage]).toEqual([expect.stringMatching(/What was entered is kept/), 'in work'])
    await expect(recordOf(knex, harmed)).rejects.toThrow(/plan it anew/)
  }
  // It takes entries, those that mend among them, and so do the others with it.
  const defect = entry(harmed, 'defect', { kind: 'chip', barrel: 'only', fromTip: 5, size: 0.5, step: 'turn' })
  const mend = entry(harmed, 'repair', { defect: defect.id, way: 'thin CA', step: 'turn' })
  await appendEvents(knex, [defect, mend, entry(other, 'done', { step: 'cut' })])
  expect(await eventsOf(knex, harmed)).toHaveLength(3)
  const { version } = await readPen(knex, harmed)
  await replanPen(knex, harmed, version)
  const mended = (await pagePens(knex, 'metric', {})).pens.find(one => one.pen.id === harmed)!.summary
  expect(mended.broken).toBeUndefined()
  expect(mended).toMatchObject({ stage: 'in work', stepsDone: 1, openDefects: expect.any(Number) })
  expect((await recordOf(knex, harmed)).record.steps.some(step => step.step === 'parts' && step.status === 'done')).toBe(true)
})

it('choosing the fitting again mends it too, also when it is the same', async () => {
  const { knex, harmed } = await twoPens()
  await database.owner()('plans').where({ pen_id: harmed }).update({ body: '{}' })
  await knex.transaction(trx => projectPens(trx, [harmed]))
  await changePen(knex, harmed, { version: 1, fitting: 'click-8' })
  expect((await pagePens(knex, 'metric', {})).pens.map(one => one.summary.broken)).toEqual([undefined, undefined])
})

const ENTRIES: [string, Record<string, unknown>][] = [
  ['of no kind', { kind: 'whittle' }],
  ['that says nothing', { payload: '{}' }],
  ['that says nothing at all', { payload: 'null' }],
  ['that says a list', { payload: '[]' }],
  ['that says another thing', { payload: '{"step": 3}' }],
  ['of a defect without a place', { kind: 'defect', payload: '{"kind": "chip", "step": null}' }],
  ['of a mend of nothing', { kind: 'repair', payload: '{}' }],
  ['that takes nothing back', { kind: 'undo', payload: '{"entries": null}' }],
  ['of a diameter that is none', { kind: 'measure', payload: '{"barrel": "only", "fromTip": "x", "diameter": null, "step": "turn"}' }],
  ['on no barrel', { barrels: '{}' }],
  ['of a constructor', { kind: 'constructor' }],
]

it.each(ENTRIES)('an entry %s harms neither its pen nor another', async (_what, damage) => {
  const { knex, harmed, other } = await twoPens()
  const owner = database.owner()
  await appendEvents(knex, [entry(harmed, 'done', { step: 'cut' })])
  await owner.raw('alter table events disable trigger events_append_only')
  try {
    await owner('events').where({ pen_id: harmed }).whereRaw('payload = ?', ['{"step": "cut"}']).update(damage)
  } finally {
    await owner.raw('alter table events enable trigger events_append_only')
  }
  await owner('pen_rows').update({ projection: 0 })
  await projectAll(work => knex.transaction(work))
  const found = await everythingOpens(harmed, other)
  expect(found.broken).toBeUndefined()
  expect(found.stepsDone).toBeGreaterThanOrEqual(1)
  await appendEvents(knex, [entry(harmed, 'done', { step: 'drill' })])
  expect((await recordOf(knex, harmed)).pen.id).toBe(harmed)
})
