import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { BenchEvent, Entry } from '../../core/bench'
import { trace, type Plan } from '../../core/plan'
import { methods } from '../../reference'
import { methodSchema, type NewPen } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { NotFoundError } from '../faults'
import { airAround, airOfLog, readAir } from './air-log'
import { appendEvents } from './append'

import { readLearnt } from './learnt'
import { changeMethod, copyMethod, listMethods, methodHistory, putAwayMethod, readMethod } from './methods'
import { migrate } from './migrate'
import { migrationSource } from './migrations'
import { changePen, createPen, readPen, replanPen } from './pens'
import { readPlan } from './plans'
import { recordOf } from './record'
import { changeBottle, changeShelf, readShelf } from './shelf'
import { changeWorkshop } from '../../tests/database/workshop'

const database = onDatabase()
let knex: Knex
beforeEach(() => {
  knex = database()
})

let number = 1
const pen = (change: Partial<NewPen> = {}) =>
  createPen(knex, {
    mark: `A${number++}`,
    name: 'Apple',
    reason: null,
    due: null,
    fitting: 'click-8',
    material: 'apple',
    method: 'ca-medium-only',
    tool: 'skew',
    film: 'gloss',
    ...change,
  })
const entry = (of: string, at: string, one: Entry): BenchEvent => ({
  ...one,
  id: randomUUID(),
  pen: of,
  barrels: ['only'],
  device: 'bench',
  at,
})
const minute = (value: number) => new Date(Date.parse('2026-11-23T18:00:00.000Z') + value * 60_000).toISOString()

describe('methods', () => {
  it('a workshop begins with every family, each sound by the schema its form uses', async () => {
    const kept = await listMethods(knex)
    expect(kept.map(method => method.id).sort()).toEqual(methods.map(method => method.id).sort())
    for (const { id: _, version: __, source: ___, ...settings } of kept) await expect(methodSchema.validate(settings)).resolves.toBeTruthy()
  })

  it('a change makes a new version; a pen planned before keeps its own until it is planned again', async () => {
    const { id, planVersion } = await pen()
    const { id: method, version, source: _, ...settings } = (await readMethod(knex, 'ca-medium-only'))!
    const changed = await changeMethod(knex, method, version, { ...settings, levelling: 2 })
    expect(changed).toMatchObject({ version: 2, levelling: 2, source: { note: 'as you set it' } })
    expect((await readPlan(knex, { id, planVersion })).inputs.method.version).toBe(1)
    expect((await methodHistory(knex, method)).map(one => [one.method.version, one.pens.length])).toEqual([
      [2, 0],
      [1, 1],
    ])
    const again = await replanPen(knex, id, 1)
    const plan = await readPlan(knex, again)
    expect(plan.inputs.method.version).toBe(2)
    expect(plan.inputs.method.levelling).toBe(2)
    expect((await methodHistory(knex, method)).map(one => [one.method.version, one.pens.map(used => used.id)])).toEqual([
      [2, [id]],
      [1, []],
    ])
  })

  it('two who change the same version: the second is told, with what is newer', async () => {
    const { id, version, source: _, ...settings } = (await readMethod(knex, 'oil'))!
    await changeMethod(knex, id, version, settings)
    await expect(changeMethod(knex, id, version, settings)).rejects.toMatchObject({ newer: { version: 2 } })
    await expect(changeMethod(knex, 'nothing', 1, settings)).rejects.toThrow(NotFoundError)
  })

  it('a copy goes its own way; put away it is gone from the list, not from its pens', async () => {
    const copy = await copyMethod(knex, 'friction-polish', 'Three rubs')
    expect(copy).toMatchObject({ name: 'Three rubs', version: 1, source: { note: 'a copy of Friction polish' } })
    const { id } = await pen({ method: copy.id })
    await putAwayMethod(knex, copy.id, true)
    expect((await listMethods(knex)).some(method => method.id === copy.id)).toBe(false)
    await expect(replanPen(knex, id, 1)).resolves.toMatchObject({ planVersion: 2 })
    await putAwayMethod(knex, copy.id, false)
    expect((await listMethods(knex)).some(method => method.id === copy.id)).toBe(true)
    await expect(copyMethod(knex, 'nothing', 'x')).rejects.toThrow(NotFoundError)
    await expect(pen({ method: 'nothing' })).rejects.toMatchObject({ fields: { method: expect.stringMatching(/choose another/) } })
  })
})

describe('bottles', () => {
  const ca = async () => (await readShelf(knex)).products.find(product => product.id === 'medium-ca')!

  it('keep what was said of them; what is not said stays, and null takes it away', async () => {
    await changeBottle(knex, { item: 'medium-ca', opened: '2026-09-01', size: 28, left: 10, price: 950, sealed: 1 })
    await changeBottle(knex, { item: 'medium-ca', keeps: 90 })
    expect((await ca()).bottle).toEqual({ opened: '2026-09-01', size: 28, left: 10, price: 950, sealed: 1, keeps: 90 })
    await changeBottle(knex, { item: 'medium-ca', closed: true, price: null })
    expect((await ca()).bottle).toEqual({ opened: null, size: 28, left: 10, sealed: 1, keeps: 90 })
    await changeShelf(knex, { item: 'medium-ca', there: false })
    await expect(changeBottle(knex, { item: 'medium-ca', left: 3 })).rejects.toMatchObject({
      fields: { item: 'Put it on the shelf first.' },
    })
  })

  it('a label’s waits go into the next plan, and stand above ours', async () => {
    await changeBottle(knex, { item: 'medium-ca', label: { 'next coat': { plain: 600 } } })
    const made = await pen()
    const second = trace(await readPlan(knex, made)).steps.find(one => one.step.id === 'coat.2')!
    expect(second.wait!.length.value).toBeGreaterThanOrEqual(600)
    expect(second.wait!.length.note).toMatch(/label/)
  })

  it('what coats took since the amount was said comes off it', async () => {
    await changeBottle(knex, { item: 'medium-ca', left: 10 })
    const made = await pen()
    const later = (seconds: number) => new Date(Date.now() + seconds * 1000).toISOString()
    await appendEvents(knex, [
      entry(made.id, minute(0), { kind: 'done', payload: { step: 'coat.1' } }),
      entry(made.id, later(5), { kind: 'done', payload: { step: 'coat.2' } }),
    ])
    const uses = await knex('facts').where({ kind: 'use' }).orderBy('at')
    expect(uses).toHaveLength(2)
    expect((await ca()).bottle!.left).toBeCloseTo(10 - uses[1].body.ml, 9)
  })
})

it('diameters measured between coats become the turner’s own build, and the next plan goes by it', async () => {
  const made = await pen()
  const measure = (at: number, diameter: number, step: string) =>
    [5, 30, 55].map(fromTip => entry(made.id, minute(at), { kind: 'measure', payload: { barrel: 'only', fromTip, diameter, step } }))
  await appendEvents(knex, [
    ...measure(0, 11, 'coat.1'),
    entry(made.id, minute(1), { kind: 'done', payload: { step: 'coat.1' } }),
    entry(made.id, minute(2), { kind: 'done', payload: { step: 'coat.2' } }),
    ...measure(3, 11.09, 'coat.3'),
  ])
  const own = (await readLearnt(knex)).builds.products['medium-ca']!
  expect(own.measurements).toBe(1)
  expect(own.build).toBeLessThan(25)
  const again = await replanPen(knex, made.id, 1)
  expect((await readPlan(knex, again)).inputs.builds).toEqual({ 'medium-ca': own.build })
})

it('every change of the air is kept as a reading, and the same air once', async () => {
  const air = async (celsius: number) => changeWorkshop(knex, { air: { celsius, humidity: 55 } })
  await air(12)
  await air(12)
  await air(15)
  expect((await readAir(knex)).map(reading => reading.celsius)).toEqual([12, 15])
})

it('an old log is judged by the air of its own time, however long ago that was', async () => {
  const made = await pen()
  const then = (seconds: number) => new Date(Date.parse('2019-03-05T18:00:00.000Z') + seconds * 1000).toISOString()
  await knex('air_readings').insert([
    { at: then(-86_400), celsius: 30, humidity: 40 },
    { at: then(-600), celsius: 2, humidity: 55 },
    { at: then(86_400), celsius: 35, humidity: 40 },
  ])
  await appendEvents(knex, [
    entry(made.id, then(0), { kind: 'done', payload: { step: 'coat.1' } }),
    entry(made.id, then(30), { kind: 'done', payload: { step: 'coat.2' } }),
  ])
  const { record } = await recordOf(knex, made.id)
  const second = record.steps.find(step => step.step === 'coat.2')!
  // Back for repair seven years on: what was read while it lay in a drawer is no air of its.
  const years = 7 * 365 * 86_400
  await knex('air_readings').insert([
    { at: then(years / 2), celsius: 28, humidity: 40 },
    { at: then(years - 60), celsius: 16, humidity: 60 },
  ])
  expect(await airOfLog(knex, [...record.entries, { at: then(years) }])).toEqual([
    { at: then(-600), celsius: 2, humidity: 55 },
    { at: then(years - 60), celsius: 16, humidity: 60 },
  ])
  expect(await airOfLog(knex, record.entries)).toEqual([{ at: then(-600), celsius: 2, humidity: 55 }])
  // Waits that were begun then ran on in what was read the day after; not in what was read years later.
  const after = [{ at: then(-600), celsius: 2, humidity: 55 }, { at: then(86_400), celsius: 35, humidity: 40 }]
  expect(await airAround(knex, record.entries)).toEqual(after)
  expect(await airAround(knex, [...record.entries, { at: then(years) }]))
    .toEqual([...after, { at: then(years - 60), celsius: 16, humidity: 60 }])
  // In the workshop's air of today it would have been kept: cold makes CA slow.
  expect(second.wait!.seconds).toBeGreaterThan(30)
  expect(second.wait!.shortBySeconds).toBeCloseTo(second.wait!.seconds - 30, 6)
})

it('a pen changed to another finish keeps its coats that are on', async () => {
  const made = await pen({ method: 'ca-thin-first' })
  await appendEvents(
    knex,
    ['sand.P-600', 'clean', 'coat.1', 'coat.2'].map((step, index) => entry(made.id, minute(index), { kind: 'done', payload: { step } })),
  )
  await changePen(knex, made.id, { version: 1, method: 'friction-polish' })
  const coats = (await readPlan(knex, await readPen(knex, made.id))).steps.flatMap(step => (step.kind === 'coat' ? [step.id] : []))
  expect(coats.slice(0, 2)).toEqual(['coat.1', 'coat.2'])
  expect(coats.slice(2)).toEqual(['friction-polish.1', 'friction-polish.2', 'friction-polish.3'])
})

it('plans from before methods had layers come up in today’s words, step by step as they were', async () => {
  const made = await pen({ method: 'ca-thin-first' })
  const today = await readPlan(knex, made)
  const owner = database.owner()
  const top = async () => (await owner('knex_migrations').orderBy('id', 'desc').first('name')).name as string
  while ((await top()) >= '0004') await owner.migrate.down({ migrationSource })
  const old = JSON.parse(JSON.stringify(today)) as { inputs: { method: object }, steps: Record<string, unknown>[] }
  old.inputs.method = {
    id: 'ca-thin-first',
    name: 'CA film, thin first',
    soakCoats: 2,
    mediumCoats: 1,
    applicator: 'foam',
    speeds: { sand: 1000, coat: 500, level: 500, polish: 1000 },
    greatestJump: 2,
    source: today.inputs.method.source,
  }
  for (const step of old.steps) {
    delete step.speed
    delete step.applicator
  }
  await owner('plans').where({ pen_id: made.id }).update({ body: JSON.stringify(old) })
  await migrate(owner)
  const brought: Plan = await readPlan(owner, made)
  expect(brought.steps).toEqual(today.steps)
  expect(trace(brought).filmLeft.value).toBe(trace(today).filmLeft.value)
})
