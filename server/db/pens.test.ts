import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { onDatabase } from '../../tests/database/suite'
import { replay, type BenchEvent } from '../../core/bench'
import type { NewPen, PenChange } from '../../schemas'
import type { Pen } from '../../contract'
import { trace, withWishes } from '../../core/plan'
import { changeWorkshop } from '../../tests/database/workshop'
import { ConflictError, FieldsError, NotFoundError, StoredError } from '../faults'
import { readInstrument } from './air'
import { appendEvents } from './append'
import { eventsOf } from './log'
import { changePen, createPen, readPen, replanPen } from './pens'
import { plansOf, readPlan, readVersion } from './plans'
import { changeShelf } from './shelf'
import { readWorkshop, writeWorkshop } from './workshop'

const database = onDatabase()
let knex: Knex
beforeEach(() => {
  knex = database()
})
const wanted = (change: Partial<NewPen> = {}): NewPen => ({
  mark: 'A1',
  name: 'Apple',
  reason: null,
  due: null,
  fitting: 'click-8',
  material: 'apple',
  method: 'ca-thin-first',
  tool: 'skew',
  film: 'gloss',
  ...change,
})
const allPens = async (of: Knex): Promise<Pen[]> =>
  Promise.all((await of('pens').orderBy('created_at').pluck('id')).map(id => readPen(of, id)))
const event = (pen: Pen, step: string, id = randomUUID()): BenchEvent => ({
  id,
  pen: pen.id,
  kind: 'done',
  payload: { step },
  barrels: ['only'],
  at: '2026-11-23T18:00:00.123Z',
  device: 'test',
})

describe('a pen', () => {
  it('is kept with the plan that was made for it', async () => {
    const pen = await createPen(knex, wanted({ due: '2026-12-05', reason: 'supper' }))
    expect(await readPen(knex, pen.id)).toMatchObject({ mark: 'A1', due: '2026-12-05', reason: 'supper', version: 1, planVersion: 1 })
    const plan = await readPlan(knex, pen)
    expect(plan.inputs.material.id).toBe('apple')
    expect(plan.steps.some(step => step.kind === 'coat')).toBe(true)
  })
  it('needs a mark of its own, and is told a free one; nothing is half kept', async () => {
    await createPen(knex, wanted())
    await createPen(knex, wanted({ mark: 'A2' }))
    const error = await createPen(knex, wanted({ name: 'Second' })).catch((caught: unknown) => caught)
    expect(error).toBeInstanceOf(FieldsError)
    expect((error as FieldsError).fields.mark).toBe('A1 is on “Apple” already. A3 is free.')
    expect(await allPens(knex)).toHaveLength(2)
  })
  it('gets a new plan when its material changes, the older one kept', async () => {
    const pen = await createPen(knex, wanted())
    const changed = await changePen(knex, pen.id, { version: 1, material: 'oak' })
    expect(changed).toMatchObject({ version: 2, planVersion: 2, material: 'oak' })
    expect((await readPlan(knex, changed)).inputs.material.id).toBe('oak')
    expect((await readPlan(knex, pen)).inputs.material.id).toBe('apple')
  })
  it('keeps its plan when only its name changes', async () => {
    const pen = await createPen(knex, wanted())
    expect(await changePen(knex, pen.id, { version: 1, name: 'Apple from the gate' })).toMatchObject({
      planVersion: 1,
      name: 'Apple from the gate',
    })
  })
  it('is planned again with the shelf as it is, what was done kept', async () => {
    const pen = await createPen(knex, wanted())
    const first = (await readPlan(knex, pen)).steps.find(step => step.kind === 'sand')!
    const before = ['cut', 'drill', 'tube', 'square', 'turn', first.id]
    await appendEvents(
      knex,
      before.map(step => event(pen, step)),
    )
    await changeShelf(knex, { item: first.id.replace('sand.', ''), there: false })
    const plan = await readPlan(knex, await replanPen(knex, pen.id, 1))
    const state = replay(plan, await eventsOf(knex, pen.id))
    expect(state.steps.filter(one => one.status === 'done').map(one => one.step.id)).toEqual(before)
    expect(state.offPlan).toEqual([])
    expect(plan.inputs.shelf.abrasives.map(row => `sand.${row.id}`)).not.toContain(first.id)
  })
  it('refuses a change of what somebody changed meanwhile, with the newer one', async () => {
    const pen = await createPen(knex, wanted())
    await changePen(knex, pen.id, { version: 1, name: 'Theirs' })
    const error = await changePen(knex, pen.id, { version: 1, name: 'Mine' }).catch((caught: unknown) => caught)
    expect(error).toBeInstanceOf(ConflictError)
    expect((error as ConflictError).newer).toMatchObject({ name: 'Theirs', version: 2 })
  })
  it('that does not exist is said to be missing', async () => {
    await expect(readPen(knex, randomUUID())).rejects.toThrow(NotFoundError)
  })
})

describe('the log', () => {
  it('takes a batch twice, and overlapping ones, without a change', async () => {
    const pen = await createPen(knex, wanted())
    const [one, two, three] = [event(pen, 'cut'), event(pen, 'drill'), event(pen, 'tube')]
    expect(await appendEvents(knex, [one, two])).toHaveLength(2)
    expect(await appendEvents(knex, [one, two])).toEqual([])
    expect(await appendEvents(knex, [two, three, three])).toEqual([three.id])
    const log = await eventsOf(knex, pen.id)
    expect(log.map(row => row.id)).toEqual([one.id, two.id, three.id])
    expect(log[0]).toMatchObject(one)
  })
  it('loses and doubles nothing under twenty writers that send overlapping batches', async () => {
    const pen = await createPen(knex, wanted())
    const events = Array.from({ length: 60 }, (_, index) => event(pen, `step.${index}`))
    const answers = await Promise.all(
      Array.from({ length: 20 }, (_, writer) => appendEvents(knex, events.slice(writer * 2, writer * 2 + 22))),
    )
    expect(new Set(answers.flat()).size).toBe(answers.flat().length)
    const log = await eventsOf(knex, pen.id)
    expect(new Set(log.map(row => row.id))).toEqual(new Set(events.map(row => row.id)))
    expect(log.map(row => row.seq)).toEqual([...log.map(row => row.seq)].sort((a, b) => a - b))
  })
  it('keeps none of a batch with a stray pen', async () => {
    const pen = await createPen(knex, wanted())
    await expect(appendEvents(knex, [event(pen, 'cut'), { ...event(pen, 'drill'), pen: randomUUID() }])).rejects.toThrow(FieldsError)
    expect(await eventsOf(knex, pen.id)).toEqual([])
  })
  it('cannot be changed or shortened', async () => {
    const pen = await createPen(knex, wanted())
    await appendEvents(knex, [event(pen, 'cut')])
    await expect(knex('events').delete()).rejects.toThrow(/append-only/)
    await expect(knex('events').update({ kind: 'skip' })).rejects.toThrow(/append-only/)
  })
})

it('the workshop refuses a change of an older version', async () => {
  const { version, units } = await readWorkshop(knex)
  await writeWorkshop(knex, { version, units, air: { celsius: 12, humidity: 50 } })
  await expect(writeWorkshop(knex, { version, units, air: { celsius: 30, humidity: 50 } })).rejects.toThrow(ConflictError)
  expect((await readWorkshop(knex)).celsius).toBe(12)
})

it('settings that were opened before an instrument spoke do not put the old air back', async () => {
  const { version } = await readWorkshop(knex)
  await readInstrument(knex, { at: '2026-11-23T19:00:00.000Z', celsius: 14, humidity: 71 })
  const kept = await writeWorkshop(knex, { version, units: 'inch', kerf: 1.5 })
  expect(kept).toMatchObject({ units: 'inch', kerf: 1.5, celsius: 14, humidity: 71 })
  expect(await knex('air_readings').select('celsius')).toEqual([{ celsius: 14 }])
})

it('two pens given one mark at the same moment: one has it, the other is told which is free', async () => {
  const made = await Promise.allSettled([createPen(knex, wanted()), createPen(knex, wanted())])
  const refused = made.flatMap(one => (one.status === 'rejected' ? [one.reason as FieldsError | ConflictError] : []))
  expect(refused).toHaveLength(1)
  const mark = wanted().mark
  expect(refused[0]!.fields.mark).toMatch(new RegExp(`^${mark} is on .* already. ${mark[0]}${Number(mark.slice(1)) + 1} is free.$`))
  expect(await allPens(knex)).toHaveLength(1)
})

it('every version of a plan opens as it was made, and a further one keeps what it has other than the first', async () => {
  const pen = await createPen(knex, wanted())
  const made = [await readVersion(knex, pen.id, 1)]
  const changes: Omit<PenChange, 'version'>[] = [
    { film: 'close' }, { sizing: { depth: 40 } }, { method: 'oil' }, { tool: 'round carbide' }, { sizing: {} },
  ]
  for (const change of changes) {
    const { version, planVersion } = await readPen(knex, pen.id)
    const now = await changePen(knex, pen.id, { version, ...change })
    expect(now.planVersion).toBe(planVersion + 1)
    made.push(await readPlan(knex, now))
  }
  for (const [index, plan] of made.entries()) expect(await readVersion(knex, pen.id, index + 1)).toEqual(plan)
  expect(new Set(made.map(plan => JSON.stringify(plan))).size).toBeGreaterThan(4)
  const rows: { version: number, bytes: number, whole: number | null }[] = await knex('plans').where({ pen_id: pen.id }).orderBy('version')
    .select('version', 'whole', knex.raw('length(coalesce(body, patch)::text) as bytes'))
  expect(rows[1]).toMatchObject({ version: 2, whole: 1 })
  expect(rows[1]!.bytes).toBeLessThan(0.2 * rows[0]!.bytes)
  await expect(readVersion(knex, pen.id, 99)).rejects.toThrow(NotFoundError)
})

it('a plan that cannot be read is a fault of ours told in the log, and one pen of many', async () => {
  const [broken, whole] = [await createPen(knex, wanted()), await createPen(knex, { ...wanted(), mark: 'Z9' })]
  await knex('plans').where({ pen_id: broken.id }).update({ body: JSON.stringify({ form: 7 }) })
  const logged = jest.spyOn(console, 'error').mockImplementation(() => {})
  expect([...(await plansOf(knex, [broken.id, whole.id])).keys()]).toEqual([whole.id])
  expect(logged).toHaveBeenCalledWith(expect.stringContaining(broken.id))
  logged.mockRestore()
  await expect(readPlan(knex, broken)).rejects.toThrow(StoredError)
})

it('a wish changed keeps the plan’s own shelf, air and rates: what the screen showed is what is kept', async () => {
  const pen = await createPen(knex, wanted())
  const before = await readPlan(knex, pen)
  await changeShelf(knex, { item: 'P-600', there: false })
  await changeWorkshop(knex, { air: { celsius: 9, humidity: 30 } })
  const sizing = { depth: 60 }
  const shown = withWishes(before, { tool: pen.tool, film: pen.film, ...sizing })
  const kept = await readPlan(knex, await changePen(knex, pen.id, { version: 1, sizing }))
  expect(kept.steps).toEqual(JSON.parse(JSON.stringify(shown.steps)))
  expect(trace(kept).ends.map(end => end.diameter.value)).toEqual(trace(shown).ends.map(end => end.diameter.value))
  expect(trace(kept).untilHandOver.value).toBe(trace(shown).untilHandOver.value)
  // Planned anew it follows both.
  const anew = await readPlan(knex, await replanPen(knex, pen.id, 2))
  expect(anew.inputs.climate).toEqual({ celsius: 9, humidity: 30 })
  expect(anew.inputs.shelf.abrasives.some(one => one.id === 'P-600')).toBe(false)
  expect(trace(anew).untilHandOver.value).toBeGreaterThan(trace(kept).untilHandOver.value)
})
