import { randomUUID } from 'node:crypto'
import type { BenchEvent, Entry } from '../../core/bench'
import { onDatabase } from '../../tests/database/suite'
import { appendEvents } from './append'
import { readLearnt } from './learnt'
import { createPen } from './pens'
import { readPlan } from './plans'

const database = onDatabase()
const START = Date.parse('2026-11-23T18:00:00.000Z')

it('hands of one maker are told apart from those of another, and pens of a class tell nothing of the pace', async () => {
  const knex = database()
  const made = async (mark: string, maker: string, at: number) => {
    const pen = await createPen(knex, {
      mark, name: mark, reason: null, due: null,
      fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew', film: 'gloss',
    })
    await knex('pens').where({ id: pen.id }).update({ maker })
    const { steps } = await readPlan(knex, pen)
    const upTo = steps.slice(0, steps.findIndex(step => step.kind === 'turn') + 1)
    // Each takes ten minutes and more for a step, the one in the middle of the other’s; not at the even pace of what is typed afterwards.
    await appendEvents(knex, upTo.map((step, index): BenchEvent => ({
      kind: 'done', payload: { step: step.id }, id: randomUUID(), pen: pen.id, barrels: ['only'], device: mark,
      at: new Date(START + (at + 600 * index + 23 * index ** 2) * 1000).toISOString(),
    })))
    return pen.id
  }
  const [first] = [await made('A1', randomUUID(), 0), await made('A2', randomUUID(), 300)]
  const paces = async () => (await readLearnt(knex)).hands?.paces ?? {}
  const apart = (await paces()).turn!
  expect(apart.steps).toBe(2)
  await knex('pens').update({ maker: null })
  await knex('lessons').delete()
  expect((await paces()).turn?.factor ?? 0).toBeLessThan(apart.factor)
  await knex('classes').insert({ id: first, name: 'x', body: '{}' })
  await knex('pens').update({ class_id: first })
  await knex('lessons').delete()
  expect(await paces()).toEqual({})
})

it('how long hands take is learnt from what was timed on all pens, and what had to be mended there', async () => {
  const knex = database()
  let seconds = 0
  for (const mark of ['A1', 'A2', 'A3']) {
    const pen = await createPen(knex, {
      mark, name: mark, reason: null, due: null,
      fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew', film: 'gloss',
    })
    const steps = (await readPlan(knex, pen)).steps
    const event = (entry: Entry): BenchEvent => ({
      ...entry, id: randomUUID(), pen: pen.id, barrels: ['only'], device: 'bench', at: new Date(START + seconds * 1000).toISOString(),
    })
    // Turning takes ten minutes from pen to pen; all else an uneven time of its own. The bit is changed each time.
    const log = steps.slice(0, steps.findIndex(step => step.kind === 'turn') + 1).map((step, index) => {
      seconds += step.kind === 'turn' ? 600 : 70 + 13 * index
      return event({ kind: 'done', payload: { step: step.id } })
    })
    if (mark === 'A2')
      log.push(event({ kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 10, size: 0.5, step: 'turn' } }))
    await appendEvents(knex, log)
  }
  const { hands } = await readLearnt(knex)
  const { paces, changes } = hands!
  expect(paces.turn?.steps).toBe(3)
  expect(changes.bushings?.changes).toBe(3)
  expect(changes.bit?.changes).toBeGreaterThanOrEqual(3)
  // One of three had a chip found at turning; twenty others count as one in fifty.
  expect(paces.turn?.mends).toBeCloseTo((1 + 0.4) / 23, 6)
  expect(paces.cut?.mends).toBeCloseTo(0.4 / 23, 6)
  expect(paces.coat).toBeUndefined()
  // The facts tell the core all it asks: the same as from the times themselves.
  const rows = await knex('facts').where({ kind: 'step', about: 'turn' }).orderBy('at')
  expect(rows.map(row => row.body)).toEqual(rows.map(() =>
    expect.objectContaining({ seconds: 600, timing: 'measured', setUp: { kind: 'bushings', which: expect.stringContaining('turn') } })))
  // What is kept is told again, until something comes in.
  await readLearnt(knex, { keeps: true })
  expect((await readLearnt(knex)).hands).toEqual(hands)
  expect(await knex('lessons').where({ kind: 'step', about: '*' }).pluck('body')).toEqual([hands])
})
