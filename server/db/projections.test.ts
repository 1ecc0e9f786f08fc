import fc from 'fast-check'
import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { project, summaryIn, type BenchEvent, type Entry, type ProjectedSummary } from '../../core/bench'
import type { Pen } from '../../contract'
import type { NewPen } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { readInstrument } from './air'
import { airAround } from './air-log'
import { appendEvents } from './append'
import { defectHistory } from './defects'
import { readLearnt } from './learnt'
import { eventsOf, lastSeq } from './log'
import { changePen, createPen, replanPen } from './pens'
import { readPlan } from './plans'
import { projectAll, projectEverywhere } from './projections'
import { pagePens } from './rows'

const database = onDatabase()
let knex: Knex
beforeEach(() => {
  knex = database()
})
let count = 0
const wanted = (change: Partial<NewPen> = {}): NewPen => ({
  mark: `A${++count}`, name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first',
  tool: 'skew', film: 'gloss', ...change,
})
const START = Date.parse('2026-11-23T18:00:00.000Z')
const entry = (pen: Pen, seconds: number, what: Entry, device = 'bench', id = randomUUID()): BenchEvent => ({
  ...what, id, pen: pen.id, barrels: ['only'], device, at: new Date(START + seconds * 1000).toISOString(),
})
const done = (pen: Pen, seconds: number, step: string, device?: string) => entry(pen, seconds, { kind: 'done', payload: { step } }, device)

interface FactRow {
  kind: string
  about: string
  at: Date
  body: object
}

/** What is kept of a pen against what its plan and its whole log give. */
async function expectTrue(pen: Pen): Promise<void> {
  const events = await eventsOf(knex, pen.id)
  const now = await knex('pens').where({ id: pen.id }).first('plan_version')
  const plan = await readPlan(knex, { id: pen.id, planVersion: now.plan_version })
  const scratch = project(plan, events, await airAround(knex, events))
  const { text, ...summary } = JSON.parse(JSON.stringify(scratch.summary)) as ProjectedSummary
  const row = await knex('pen_rows').where({ pen_id: pen.id }).first()
  expect(row.body).toEqual(summary)
  expect([row.stage, row.open_defects]).toEqual([summary.stage, summary.openDefects])
  expect((await knex('pen_search').where({ pen_id: pen.id }).first()).search).toContain(text)
  const kept: FactRow[] = await knex('facts').where({ pen_id: pen.id }).orderBy(['kind', 'place'])
  const told = [...scratch.facts].sort((a, b) => (a.kind < b.kind ? -1 : a.kind > b.kind ? 1 : 0))
  const asFact = ({ kind, about, at, body }: FactRow) => ({ kind, about, at: at.toISOString(), ...body })
  expect(kept.map(asFact)).toEqual(JSON.parse(JSON.stringify(told)))
}

it('whatever two devices enter, in any order, repetition and batches, the rows are those made from scratch (property)', async () => {
  const anyLog = fc.array(
    fc.record({
      what: fc.constantFrom('done', 'done', 'done', 'skip', 'look', 'measure', 'defect', 'repair', 'judge', 'coat', 'undo'),
      pick: fc.nat(40),
      seconds: fc.nat(20_000),
      tablet: fc.boolean(),
      repeated: fc.boolean(),
    }),
    { minLength: 1, maxLength: 14 },
  )
  await fc.assert(
    fc.asyncProperty(anyLog, fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 14 }), async (rows, sizes) => {
      const pen = await createPen(knex, wanted())
      const { steps } = await readPlan(knex, pen)
      const log: BenchEvent[] = []
      for (const { what, pick, seconds, tablet } of rows) {
        const step = steps[pick % steps.length]!.id
        const other = log[pick % Math.max(1, log.length)]?.id ?? randomUUID()
        const product = steps.flatMap(one => (one.kind === 'coat' ? [one.product.id] : []))[0]!
        const entries: Record<string, Entry> = {
          done: { kind: 'done', payload: { step } },
          skip: { kind: 'skip', payload: { step } },
          look: { kind: 'look', payload: { step, answer: 'not yet' } },
          measure: { kind: 'measure', payload: { barrel: 'only', fromTip: 5, diameter: 11 + pick / 100, step } },
          defect: { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 10, size: 0.5, step } },
          repair: { kind: 'repair', payload: { defect: other, way: 'thin CA', step } },
          judge: { kind: 'judge', payload: { defect: other, cause: 'dull tool' } },
          coat: { kind: 'coat', payload: { product, step } },
          undo: { kind: 'undo', payload: { entries: [other] } },
        }
        log.push(entry(pen, seconds, entries[what]!, tablet ? 'tablet' : 'bench'))
      }
      const sent = rows.flatMap(({ repeated }, index) => (repeated ? [log[index]!, log[(index * 7) % log.length]!] : [log[index]!]))
      for (let from = 0, batch = 0; from < sent.length; batch++) {
        const size = sizes[batch % sizes.length]!
        const unique = new Map(sent.slice(from, from + size).map(event => [event.id, event]))
        await appendEvents(knex, [...unique.values()])
        from += size
      }
      await expectTrue(pen)
    }),
    { numRuns: 12 },
  )
})

it('two servers that make the same rows anew at once, while work goes on, leave them true', async () => {
  const pens = await Promise.all(Array.from({ length: 10 }, () => createPen(knex, wanted())))
  for (const [index, pen] of pens.entries()) {
    const steps = (await readPlan(knex, pen)).steps.slice(0, 3 + index)
    await appendEvents(knex, steps.map((step, at) => done(pen, 100 * at ** 1.3, step.id)))
  }
  await knex('pen_rows').update({ projection: 0, body: '{}', stage: 'finished' })
  const [one, another] = [database.pool(), database.pool()]
  const next = (await readPlan(knex, pens[0]!)).steps[3]!
  const [counted] = await Promise.all([
    Promise.all([projectEverywhere(database.owner(), one), projectEverywhere(database.owner(), another)]),
    appendEvents(knex, [done(pens[0]!, 5000, next.id)]),
  ])
  expect(counted.reduce((sum, made) => sum + made, 0)).toBeGreaterThanOrEqual(10)
  expect(await knex('pen_rows').where('projection', 0)).toEqual([])
  for (const pen of pens) await expectTrue(pen)
})
it('a plan that is changed, planned anew or mended, and a new name, are in the row at once', async () => {
  const pen = await createPen(knex, wanted({ due: '2026-12-05' }))
  await appendEvents(knex, [done(pen, 0, 'parts')])
  await expectTrue(pen)
  const changed = await changePen(knex, pen.id, { version: 1, name: 'Second apple', film: 'close', due: '2026-12-06', mark: 'Z9' })
  await expectTrue(pen)
  const row = await knex('pen_rows').where({ pen_id: pen.id }).first(knex.raw('*, to_char(due, \'YYYY-MM-DD\') as day'))
  expect(row).toMatchObject({ letter: 'Z', number: 9, day: '2026-12-06' })
  expect((await knex('pen_search').where({ pen_id: pen.id }).first()).search).toContain('z9 second apple')
  await replanPen(knex, pen.id, changed.version)
  await expectTrue(pen)
})

it('a new reading of the air moves the ends of the waits that run, and of no others', async () => {
  const [pen, other] = [await createPen(knex, wanted()), await createPen(knex, wanted())]
  const { steps } = await readPlan(knex, pen)
  const now = Date.now()
  const upTo = steps.findIndex(step => step.kind === 'tube')
  const worked = steps.slice(0, upTo + 1).map((step, index) => ({
    ...done(pen, 0, step.id),
    at: new Date(now - (upTo - index) * 60_000).toISOString(),
  }))
  await appendEvents(knex, worked)
  const until = async () => (await knex('pen_rows').where({ pen_id: pen.id }).first('body')).body.wait.until as string
  const before = await until()
  const untouched = await knex('pen_rows').where({ pen_id: other.id }).first()
  await readInstrument(knex, { at: new Date(now + 1000).toISOString(), celsius: 35, humidity: 50 })
  expect((await until()) < before).toBe(true)
  await expectTrue(pen)
  expect(await knex('pen_rows').where({ pen_id: other.id }).first()).toEqual(untouched)
})

it('rows that an earlier Oxlip made, or that are missing, are made anew in batches; one that cannot be stops none', async () => {
  const pens = await Promise.all(Array.from({ length: 3 }, () => createPen(knex, wanted())))
  const [old, missing, broken] = [pens[0]!, pens[1]!, pens[2]!]
  await appendEvents(knex, [done(old, 0, 'parts')])
  await knex('pen_rows').where({ pen_id: old.id }).update({ projection: 0, body: '{}', stage: 'finished' })
  await knex('pen_rows').where({ pen_id: missing.id }).delete()
  await knex('pen_rows').where({ pen_id: broken.id }).delete()
  await knex('plans').where({ pen_id: broken.id }).update({ body: '{"form":7}' })
  const logged = jest.spyOn(console, 'error').mockImplementation(() => {})
  expect(await projectAll(work => knex.transaction(work))).toBe(3)
  expect(logged).toHaveBeenCalledWith(expect.stringContaining(broken.id))
  expect(await projectAll(work => knex.transaction(work))).toBe(0)
  await expectTrue(old)
  await expectTrue(missing)
  // The broken one says so in its row, and what is entered on it is kept.
  const told = new Map((await pagePens(knex, 'metric', {})).pens.map(one => [one.pen.id, one.summary.broken]))
  expect([told.get(old.id), told.get(missing.id), told.get(broken.id)]).toEqual([undefined, undefined, expect.stringMatching(/cannot be read/)])
  await appendEvents(knex, [done(broken, 5, 'parts')])
  expect(await eventsOf(knex, broken.id)).toHaveLength(1)
  logged.mockRestore()
})

it('a change of a plan and an entry at the same moment: the row has both', async () => {
  const pen = await createPen(knex, wanted())
  await Promise.all([
    changePen(knex, pen.id, { version: 1, film: 'close' }),
    appendEvents(knex, [done(pen, 0, 'parts')]),
    appendEvents(knex, [done(pen, 60, 'cut', 'tablet')]),
  ])
  await expectTrue(pen)
  expect((await knex('facts').where({ pen_id: pen.id, kind: 'step' })).map(one => one.about).sort()).toEqual(['cut', 'parts'])
})

it('what is learnt is asked once and kept, until a fact of its kind comes in', async () => {
  const pen = await createPen(knex, wanted())
  const steps = (await readPlan(knex, pen)).steps.map(step => step.id)
  const first = steps.findIndex(step => step.startsWith('sand'))
  await appendEvents(knex, steps.slice(0, first + 1).map((step, index) => done(pen, index * 45 + (index % 2) * 20, step)))
  const asked = async () => {
    const seen: string[] = []
    const hear = ({ sql }: { sql: string }) => seen.push(sql)
    knex.on('query', hear)
    const learnt = await readLearnt(knex, { keeps: true })
    knex.removeListener('query', hear)
    // How long hands take is asked of every step; the others of their own kind of fact alone.
    return { learnt, facts: seen.filter(sql => sql.includes('"facts" inner join') && !sql.includes('class_id')).length }
  }
  // Whoever writes something else keeps nothing of it, so that nobody waits for a lesson there.
  await readLearnt(knex)
  expect(await knex('lessons').whereNotNull('body')).toEqual([])
  const [before, again] = [await asked(), await asked()]
  expect(before.facts).toBeGreaterThan(0)
  expect(again).toEqual({ learnt: before.learnt, facts: 0 })
  expect(Object.values(before.learnt.sanding).map(one => one.observations)).toEqual([1])
  // An entry that tells nothing of it leaves it as it is; one that does has it worked out anew.
  await appendEvents(knex, [entry(pen, 9000, { kind: 'check', payload: { step: steps[0]!, check: 'x', answer: 'yes' } })])
  expect((await asked()).facts).toBe(0)
  await appendEvents(knex, [done(pen, (first + 1) * 45 + 30, steps[first + 1]!)])
  const after = await asked()
  expect(after.facts).toBe(1)
  expect(Object.values(after.learnt.sanding).map(one => one.observations)).toEqual([2])
})

it('a coat that was tacky, a levelling and what is usual move the next plan and the next question why', async () => {
  const pen = await createPen(knex, wanted())
  const { steps, inputs } = await readPlan(knex, pen)
  const [coat, next] = steps.filter(step => step.kind === 'coat')
  expect(inputs.waits).toBeUndefined()
  const before = steps.slice(0, steps.indexOf(coat!) + 1).map((step, index) => done(pen, index * 400 + (index % 3) * 20, step.id))
  const on = (Date.parse(before.at(-1)!.at) - START) / 1000
  await appendEvents(knex, [...before, entry(pen, on + 90, { kind: 'touch', payload: { step: next!.id, felt: 'tacky' } })])
  const product = coat!.kind === 'coat' ? coat!.product.id : ''
  const learnt = await readLearnt(knex)
  expect(learnt.waits?.[product]).toMatchObject({ touches: 1 })
  expect(learnt.even).toBeUndefined()
  const rest = steps.slice(steps.indexOf(next!))
  await appendEvents(knex, rest.map((step, index) => done(pen, on + 2000 + index * 400 + (index % 3) * 20, step.id)))
  const { even } = await readLearnt(knex)
  expect(even).toMatchObject({ levellings: steps.filter(step => step.kind === 'level').length, through: 0 })
  const planned = (await readPlan(knex, await createPen(knex, wanted()))).inputs
  expect(planned.waits?.[product]).toBeGreaterThan(1.2)
  expect(planned.even?.over).toBeLessThan(1)
  expect((await defectHistory(knex)).usual).toMatchObject({ 'oily wood': { holds: 0, of: 1 }, 'accelerated': { of: 1 } })
  // Damaged facts of these kinds teach nothing and stop nobody.
  for (const kind of ['touch', 'levelled', 'usual']) await knex('facts').where({ kind }).update({ body: { part: 'x', evidence: null } })
  await knex('lessons').update({ learnt_at: null, body: null })
  expect(await readLearnt(knex)).toMatchObject({ waits: {} })
  expect((await defectHistory(knex)).usual).toEqual({})
})

it('a row’s words stand in the units that are asked for', async () => {
  const pen = await createPen(knex, wanted())
  const { body } = await knex('pen_rows').where({ pen_id: pen.id }).first('body')
  const [metric, inch] = [summaryIn(body, 'metric'), summaryIn(body, 'inch')]
  expect(metric.next).not.toBeNull()
  expect(metric.next!.step).toBe(inch.next!.step)
  expect(Object.keys(metric)).not.toContain('waits')
  expect(await lastSeq(knex)).toBe(0)
})
