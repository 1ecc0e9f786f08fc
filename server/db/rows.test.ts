import fc from 'fast-check'
import type { Knex } from 'knex'
import type { NewPen, PenQuery } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { copyPens, readOf } from '../../tests/database/many'
import { appendEvents } from './append'
import { pageDefects } from './defects'
import { readLearnt } from './learnt'
import { eventsOf, logsOf } from './log'
import { freeMarks } from './marks'
import { methodHistory } from './methods'
import { createPen, readPen } from './pens'
import { plansOf, readPlan } from './plans'
import { inWork, nextDue, pagePens } from './rows'
import { opening } from './workshops'

const database = onDatabase()
let knex: Knex
beforeEach(() => {
  knex = database()
})
const wanted = (change: Partial<NewPen> = {}): NewPen => ({
  mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss', ...change,
})
const done = (pen: string, step: string, second: number, device = 'bench') => ({
  id: crypto.randomUUID(), pen, kind: 'done' as const, payload: { step }, barrels: ['only' as const], device,
  at: new Date(Date.parse('2026-11-23T18:00:00.000Z') + second * 1000).toISOString(),
})
/** Marks of a whole list, page by page. */
async function all(asked: PenQuery): Promise<string[]> {
  const marks: string[] = []
  let after: string | null = null
  do {
    const page = await pagePens(knex, 'metric', { ...asked, ...(after ? { after } : {}) })
    marks.push(...page.pens.map(one => one.pen.mark))
    after = page.next
  } while (after)
  return marks
}

describe('a list, page by page', () => {
  const pens = [
    wanted({ mark: 'A2', name: 'Gate apple', due: '2026-12-05', reason: 'Harvest supper' }),
    wanted({ mark: 'A10', name: 'Plum, north row', material: 'plum', fitting: 'twist-7' }),
    wanted({ mark: 'B1', name: 'Hawthorn', material: 'hawthorn', method: 'hard-wax', due: '2026-12-04' }),
    wanted({ mark: 'A9', name: 'Pear 100 %', material: 'pear', due: '2026-12-05' }),
    wanted({ mark: 'C3', name: 'Damson', material: 'damson', method: 'oil' }),
  ]
  beforeEach(async () => {
    for (const pen of pens) await createPen(knex, pen)
  })
  it('has every pen once, in the order asked for, whatever a page holds', async () => {
    for (const limit of [1, 2, 3, 200]) {
      expect(await all({ limit })).toEqual(['C3', 'A9', 'B1', 'A10', 'A2'])
      expect(await all({ limit, sort: 'marks' })).toEqual(['A2', 'A9', 'A10', 'B1', 'C3'])
      expect((await all({ limit, sort: 'due' }))[0]).toBe('B1')
      expect((await all({ limit, sort: 'due' })).slice(1).sort()).toEqual(['A2', 'A9'])
    }
  })
  const FILTERS: [PenQuery, string[]][] = [
    [{ material: 'plum' }, ['A10']],
    [{ fitting: 'click-8', due: '2026-12-05' }, ['A2', 'A9']],
    [{ method: 'oil' }, ['C3']],
    [{ stage: 'planned' }, ['A2', 'A9', 'A10', 'B1', 'C3']],
    [{ stage: 'finished' }, []],
    [{ defects: 'open' }, []],
    [{ text: 'gate' }, ['A2']],
    [{ text: 'SUPPER harvest' }, ['A2']],
    [{ text: 'a1' }, ['A10']],
    [{ text: 'orth' }, ['A10']],
    [{ text: 'b1' }, ['B1']],
    [{ text: '100 %' }, ['A9']],
    [{ text: 'a_p' }, []],
    [{ text: '\' or 1=1' }, []],
    [{ text: 'damson oil' }, ['C3']],
  ]
  it('has those that are asked for: by wood, fitting, finish, stage, day, open defect and text', async () => {
    for (const [asked, marks] of FILTERS) expect([asked, await all({ ...asked, sort: 'marks' })]).toEqual([asked, marks])
  })
  it('follows what is worked on: stage, order, open defects', async () => {
    const [id] = (await knex('pens').where({ mark: 'A10' }).pluck('id')) as [string]
    const chip = { kind: 'chip' as const, barrel: 'lower' as const, fromTip: 10, size: 1, step: null }
    await appendEvents(knex, [
      { ...done(id, 'parts', 90_000_000), id: crypto.randomUUID() },
      { ...done(id, 'parts', 90_000_001), kind: 'defect', payload: chip, id: crypto.randomUUID() },
    ])
    expect((await all({}))[0]).toBe('A10')
    expect(await all({ stage: 'in work' })).toEqual(['A10'])
    expect(await all({ defects: 'open' })).toEqual(['A10'])
    expect((await inWork(knex)).map(pen => pen.mark)).toEqual(['A10'])
    expect(await all({ text: 'chip' })).toEqual(['A10'])
  })
  it('a place of another list, or none at all, is refused by name', async () => {
    const { next } = await pagePens(knex, 'metric', { limit: 1, sort: 'marks' })
    for (const after of [next!, 'x', Buffer.from('{"a":1}').toString('base64url')])
      await expect(pagePens(knex, 'metric', { after })).rejects.toMatchObject({ fields: { after: expect.stringMatching(/begin at its/) } })
  })
  it('tells the day that is due first, and how many of it are to come', async () => {
    expect(await nextDue(knex)).toEqual({ day: '2026-12-04', reason: null, open: 1, all: 1 })
    await knex('pen_rows').where({ letter: 'B' }).update({ stage: 'finished' })
    expect(await nextDue(knex)).toEqual({ day: '2026-12-05', reason: 'Harvest supper', open: 2, all: 2 })
    await knex('pen_rows').where({ letter: 'A', number: 2 }).update({ stage: 'finished' })
    expect(await nextDue(knex)).toEqual({ day: '2026-12-05', reason: null, open: 1, all: 2 })
    await knex('pen_rows').update({ stage: 'finished' })
    expect(await nextDue(knex)).toBeNull()
  })
})

describe('marks', () => {
  it('go on from the last pen, over those in the making, and round again after 999', async () => {
    expect(await freeMarks(knex)).toEqual(['A1'])
    await createPen(knex, wanted({ mark: 'B998' }))
    expect(await freeMarks(knex)).toEqual(['B999'])
    await createPen(knex, wanted({ mark: 'B1' }))
    await createPen(knex, wanted({ mark: 'B999' }))
    expect(await freeMarks(knex)).toEqual(['B2'])
  })
  it('are taken by pens in the making alone: a finished one has left its own', async () => {
    const first = await createPen(knex, wanted())
    await expect(createPen(knex, wanted())).rejects.toMatchObject({ fields: { mark: 'A1 is on “Apple” already. A2 is free.' } })
    await knex('pen_rows').where({ pen_id: first.id }).update({ stage: 'finished' })
    await expect(createPen(knex, wanted({ name: 'Second' }))).resolves.toMatchObject({ mark: 'A1' })
    await expect(createPen(knex, wanted())).rejects.toMatchObject({ fields: { mark: /“Second”/ } })
    expect(await all({ text: 'a1' })).toHaveLength(2)
  })
})

describe('nothing grows with the pens there are', () => {
  const chip = (pen: string) => ({
    ...done(pen, 'parts', 1), kind: 'defect' as const,
    payload: { kind: 'chip' as const, barrel: 'only' as const, fromTip: 10, size: 1, step: null },
  })
  const QUERIES: [string, (pen: string) => Promise<unknown>][] = [
    ['a list', () => pagePens(knex, 'metric', { limit: 10 })],
    ['a list by marks', () => pagePens(knex, 'metric', { limit: 10, sort: 'marks' })],
    ['a list by due day', () => pagePens(knex, 'metric', { limit: 10, sort: 'due' })],
    ['finished ones', () => pagePens(knex, 'metric', { limit: 10, stage: 'finished' })],
    ['of a material', () => pagePens(knex, 'metric', { limit: 10, material: 'apple' })],
    ['of a fitting', () => pagePens(knex, 'metric', { limit: 10, fitting: 'click-8' })],
    ['with an open defect', () => pagePens(knex, 'metric', { limit: 10, defects: 'open' })],
    ['a mark looked up', () => pagePens(knex, 'metric', { limit: 10, text: 'q1' })],
    ['words looked up', () => pagePens(knex, 'metric', { limit: 10, text: 'one of a kind' })],
    ['the bench', async () => {
      const ids = (await inWork(knex)).map(pen => pen.id)
      return [await plansOf(knex, ids), await logsOf(knex, ids)]
    }],
    ['one pen', async pen => [await readPlan(knex, await readPen(knex, pen)), await eventsOf(knex, pen)]],
    ['defects', () => pageDefects(knex, { limit: 10 })],
    ['defects of a pen', pen => pageDefects(knex, { limit: 10, pens: [pen] })],
    ['defects of a kind', () => pageDefects(knex, { limit: 10, kind: 'chip' })],
    ['what was learnt', () => readLearnt(knex)],
    ['a free mark', () => freeMarks(knex)],
    ['a method with its pens', () => methodHistory(knex, 'ca-thin-first')],
    ['an entry', pen => appendEvents(knex, [{
      ...done(pen, 'cut', 50), kind: 'measure', payload: { barrel: 'only', fromTip: 5, diameter: 12, step: 'cut' },
    }])],
  ]
  it('the same statements read the same rows at 300 pens and at 2,000, by an index', async () => {
    const pen = await createPen(knex, wanted({ mark: 'Q1', name: 'One of a kind' }))
    // Six steps of each: more of them than are learnt from are there in both.
    const steps = (await readPlan(knex, pen)).steps.slice(0, 6)
    await appendEvents(knex, [chip(pen.id), ...steps.map(({ id }, at) => done(pen.id, id, 2 + at))])
    await readLearnt(knex)
    const counted = async () => {
      const found = new Map<string, { statements: number, rows: number, scans: string[] }>()
      for (const [name, ask] of QUERIES) found.set(name, await readOf(knex, () => ask(pen.id)))
      return found
    }
    // What is learnt is learnt from the latest 200 facts of a kind: more of them are there in both.
    await copyPens(knex, database.owner(), pen.id, 300)
    const few = await counted()
    await copyPens(knex, database.owner(), pen.id, 1700)
    const many = await counted()
    for (const [name, now] of many) {
      const before = few.get(name)!
      expect([name, now.statements]).toEqual([name, before.statements])
      expect([name, now.scans]).toEqual([name, []])
      // An index may be walked a row further or two than the page is long.
      expect([name, now.rows <= before.rows + 12]).toEqual([name, true])
    }
    // Whether another workshop has any pen is asked without going through all that this one has.
    const owner = database.owner()
    await owner('workshops').insert({ id: crypto.randomUUID(), name: 'Empty', kind: 'own' })
    const asked = await readOf(owner, () => opening(owner))
    expect([asked.scans, asked.statements, asked.rows < 5]).toEqual([[], 1, true])
  })
})

it('a page asked for again and again while pens come in shows none twice (property)', async () => {
  let number = 0
  await fc.assert(
    fc.asyncProperty(fc.array(fc.boolean(), { minLength: 1, maxLength: 6 }), async (comes) => {
      for (let index = 0; index < 3; index++) await createPen(knex, wanted({ mark: `F${++number}` }))
      const seen: string[] = []
      let after: string | null = null
      for (const more of [...comes, false, false, false, false]) {
        const page: Awaited<ReturnType<typeof pagePens>> = await pagePens(knex, 'metric', { limit: 2, ...(after ? { after } : {}) })
        seen.push(...page.pens.map(one => one.pen.id))
        after = page.next
        if (!after) break
        if (more) await createPen(knex, wanted({ mark: `F${++number}` }))
      }
      expect(new Set(seen).size).toBe(seen.length)
    }),
    { numRuns: 4 },
  )
})
