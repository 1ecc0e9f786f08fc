import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { onDatabase } from '../../tests/database/suite'
import type { BenchEvent } from '../../core/bench'
import type { NewPen } from '../../schemas'
import { FieldsError } from '../faults'
import { appendEvents } from './append'

import { readLearnt } from './learnt'
import { changePen, createPen } from './pens'
import { readPlan } from './plans'
import { changeShelf, createOwnAbrasive, readShelf } from './shelf'

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
    method: 'ca-thin-first',
    tool: 'gouge',
    film: 'gloss',
    ...change,
  })
const onShelf = async (id: string) => (await readShelf(knex)).abrasives.find(one => one.id === id)
const grits = async (id: string, planVersion: number) =>
  (await readPlan(knex, { id, planVersion })).steps.flatMap(step => (step.kind === 'sand' ? [step.abrasive.id] : []))

describe('abrasives on the shelf', () => {
  it('keep how worn they are, how many there are and how they are used; saying one thing leaves the others', async () => {
    await changeShelf(knex, { item: 'P-320', there: true, worn: 0.5, count: 3 })
    await changeShelf(knex, { item: 'P-320', there: true, dry: true, wet: false })
    expect(await onShelf('P-320')).toMatchObject({ worn: 0.5, count: 3, wet: false, dry: true })
    await changeShelf(knex, { item: 'P-320', there: true })
    expect(await onShelf('P-320')).toMatchObject({ worn: 0.5, wet: false })
    await changeShelf(knex, { item: 'P-320', there: false })
    await changeShelf(knex, { item: 'P-320', there: true })
    // Taken off and put back it is as it was.
    expect(await onShelf('P-320')).toMatchObject({ id: 'P-320', wet: false, dry: true, worn: 0.5, count: 3 })
  })
  it('what is used wet only sands no bare wood', async () => {
    const before = await grits((await pen()).id, 1)
    const used = before[1]!
    await changeShelf(knex, { item: used, there: true, wet: true, dry: false })
    expect(await grits((await pen()).id, 1)).not.toContain(used)
  })
  it('a pad with a colour only lies between two, goes into plans, and outlives being taken off', async () => {
    const shelf = await createOwnAbrasive(knex, { label: 'grey pad', coarser: 'pad-1800', finer: 'pad-3200', wet: true, dry: true })
    const own = shelf.abrasives.find(one => one.label === 'grey pad')!
    expect(own).toMatchObject({ mark: 11.6, scale: 'micron', between: ['pad 1800', 'pad 3200'] })
    const made = await pen()
    const changed = await changePen(knex, made.id, { version: 1, sizing: { ladder: ['P-150', 'P-320', own.id] } })
    expect(await grits(made.id, changed.planVersion)).toEqual(['P-150', 'P-320', own.id])
    await changeShelf(knex, { item: own.id, there: false })
    expect(await onShelf(own.id)).toBeUndefined()
    expect((await readPlan(knex, changed)).steps.some(step => step.kind === 'sand' && step.abrasive.label === 'grey pad')).toBe(true)
    await expect(createOwnAbrasive(knex, { label: 'x', coarser: 'P-220', finer: 'P-220', wet: true, dry: true })).rejects.toThrow(
      FieldsError,
    )
    await expect(createOwnAbrasive(knex, { label: 'x', coarser: 'P-220', finer: 'P-320', wet: false, dry: false })).rejects.toThrow(
      FieldsError,
    )
  })
})

describe('what the log teaches', () => {
  it('is nothing at first', async () => {
    const { sanding, builds } = await readLearnt(knex)
    const uses = await knex('facts').where({ kind: 'use' })
    expect([sanding, uses, builds.setAside, Object.values(builds.products).filter(one => one.measurements > 0)]).toEqual([{}, [], [], []])
  })
  it('makes the next plan quicker for a turner whose scratches are always gone sooner', async () => {
    const seconds = async () => {
      const { inputs } = await readPlan(knex, await pen())
      return inputs.own?.rate ?? 1
    }
    expect(await seconds()).toBe(1)
    for (let times = 0; times < 4; times++) {
      const made = await pen()
      const { steps } = await readPlan(knex, made)
      const last = steps.findLastIndex(step => step.kind === 'sand')
      const events = steps
        .slice(0, last + 1)
        .map((step, index): BenchEvent => ({
          id: randomUUID(),
          pen: made.id,
          kind: 'done',
          payload: { step: step.id },
          barrels: ['only'],
          device: 'test',
          at: new Date(Date.UTC(2026, 10, 20 + times, 18, 0, index * 17 + (index % 2) * 6)).toISOString(),
        }))
      await appendEvents(knex, events)
    }
    const { 'close-grained': learnt, ...others } = (await readLearnt(knex)).sanding
    if (!learnt) throw new Error('Should have learnt something.')
    expect(others).toEqual({})
    expect(learnt.observations).toBeGreaterThan(6)
    expect(learnt.rate.likely).toBeGreaterThan(1)
    expect(learnt.overhead.likely).toBeLessThan(25)
    expect(await seconds()).toBeCloseTo(learnt.rate.likely, 9)
    // A damaged fact, or one of another form, teaches nothing and stops nobody.
    const [one] = await knex('facts').where({ kind: 'sanding' }).select('pen_id', 'place')
    await knex('facts').where({ kind: 'sanding', ...one }).update({ body: { seconds: 12, gone: true } })
    await knex('lessons').update({ learnt_at: null, body: null })
    expect((await readLearnt(knex)).sanding['close-grained']!.observations).toBe(learnt.observations - 1)
    // What was learnt on close grain says nothing of open pores.
    expect((await readPlan(knex, await pen({ material: 'oak' }))).inputs.own).toBeUndefined()
  })
})

it('a ladder of one’s own keeps what is done when it is changed half way', async () => {
  const made = await pen()
  const own = await changePen(knex, made.id, { version: 1, sizing: { ladder: ['P-120', 'P-220', 'P-400', 'P-600'] } })
  const { steps } = await readPlan(knex, own)
  const upTo = steps.findIndex(step => step.id === 'sand.P-220')
  await appendEvents(
    knex,
    steps
      .slice(0, upTo + 1)
      .map((step, index): BenchEvent => ({
        id: randomUUID(),
        pen: made.id,
        kind: 'done',
        payload: { step: step.id },
        barrels: ['only'],
        device: 'test',
        at: new Date(Date.UTC(2026, 10, 20, 18, index)).toISOString(),
      })),
  )
  const changed = await changePen(knex, made.id, { version: 2, sizing: { ladder: ['P-150', 'P-320', 'P-600'] } })
  expect(await grits(made.id, changed.planVersion)).toEqual(['P-120', 'P-220', 'P-320', 'P-600'])
})
