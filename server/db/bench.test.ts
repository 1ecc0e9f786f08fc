import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { onDatabase } from '../../tests/database/suite'
import { inOrder, replay, type BenchEvent, type Entry } from '../../core/bench'
import type { NewPen } from '../../schemas'
import type { Message, Pen } from '../../contract'
import { follow } from '../live/follow'
import { askingSource } from '../live/source'
import { readInstrument } from './air'
import { readAir } from './air-log'
import { changeBit } from './bits'
import { changesAfter, lastChange } from './changes'
import { defectHistory, pageDefects } from './defects'
import { appendEvents } from './append'
import { elsewhereOf, eventsAfter, eventsOf, lastSeq } from './log'
import { createPen, readPen, replanPen } from './pens'
import { dropFitting } from './fittings'
import { copyMethod, putAwayMethod } from './methods'
import { readPlan, readVersion } from './plans'
import { changeShelf } from './shelf'
import { readWorkshop } from './workshop'

const database = onDatabase()
let knex: Knex
beforeEach(() => {
  knex = database()
})
let mark = 1
const makePen = (change: Partial<NewPen> = {}): Promise<Pen> =>
  createPen(knex, {
    mark: `M${mark++}`,
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
const START = Date.parse('2026-11-23T18:00:00.000Z')
const entry = (pen: Pen, seconds: number, what: Entry, device = 'shelf'): BenchEvent => ({
  ...what,
  id: randomUUID(),
  pen: pen.id,
  barrels: ['only'],
  device,
  at: new Date(START + seconds * 1000).toISOString(),
})
const done = (pen: Pen, seconds: number, step: string) => entry(pen, seconds, { kind: 'done', payload: { step } })

describe('clocks', () => {
  it('an entry that does not know how wrong its clock was is put right by when it was sent; one that knows keeps what it '
    + 'knew', async () => {
    const pen = await makePen()
    const off = 3_600_000
    const [unknown, known] = [done(pen, 0, 'parts'), { ...done(pen, 10, 'cut'), ahead: 120_000 }]
    await appendEvents(knex, [unknown, known], new Date(Date.now() + off).toISOString())
    const kept = await eventsOf(knex, pen.id)
    expect(Math.abs(kept[0]!.ahead! - off)).toBeLessThan(5000)
    expect(kept[1]!.ahead).toBe(120_000)
    expect(inOrder(kept)[0]!.id).toBe(unknown.id)
  })
  it('a clock that is right within what sending takes counts as right, and without a time nothing is known', async () => {
    const pen = await makePen()
    await appendEvents(knex, [done(pen, 0, 'parts')], new Date().toISOString())
    await appendEvents(knex, [done(pen, 10, 'cut')])
    expect((await eventsOf(knex, pen.id)).map(event => event.ahead)).toEqual([0, undefined])
  })
})

describe('a mend makes a new version of the plan', () => {
  async function mended() {
    const pen = await makePen()
    const chip = entry(pen, 100, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 20, size: 0.8, step: 'clean' } })
    const repair = entry(pen, 110, { kind: 'repair', payload: { defect: chip.id, way: 'shavings and CA', step: 'clean' } })
    const log = ['parts', 'cut'].map((step, index) => done(pen, index * 20, step))
    await appendEvents(knex, [...log, chip])
    expect((await readPen(knex, pen.id)).planVersion).toBe(1)
    await appendEvents(knex, [repair])
    return { pen, repair }
  }
  it('kept beside the old one; the log is still played on what was planned, and nothing done is lost', async () => {
    const { pen } = await mended()
    const now = await readPen(knex, pen.id)
    expect(now.planVersion).toBe(2)
    const rows = await knex('plans').where({ pen_id: pen.id }).orderBy('version').select('version', 'mends_base')
    const { steps } = await readVersion(knex, pen.id, 2)
    expect(rows.map(row => row.mends_base)).toEqual([null, 1])
    expect(steps.some(step => step.kind === 'fill')).toBe(true)
    expect((await readPlan(knex, now)).steps).toEqual((await readPlan(knex, pen)).steps)
    const state = replay(await readPlan(knex, now), await eventsOf(knex, pen.id))
    expect(JSON.parse(JSON.stringify(state.plan.steps))).toEqual(steps)
    expect(state.steps.filter(one => one.status === 'done').map(one => one.step.id)).toEqual(['parts', 'cut'])
  })
  it('sent twice it makes no further version; planned anew it stays mended', async () => {
    const { pen, repair } = await mended()
    await appendEvents(knex, [repair])
    expect((await readPen(knex, pen.id)).planVersion).toBe(2)
    const replanned = await replanPen(knex, pen.id, (await readPen(knex, pen.id)).version)
    expect(replanned.planVersion).toBe(3)
    expect(replay(await readPlan(knex, replanned), await eventsOf(knex, pen.id)).plan.steps.some(step => step.kind === 'fill')).toBe(true)
  })
  it('taken back it makes one without it, and so does a coat more make one with it', async () => {
    const { pen, repair } = await mended()
    const kinds = async (): Promise<string[]> => {
      const { planVersion } = await readPen(knex, pen.id)
      return (await readVersion(knex, pen.id, planVersion)).steps.map(step => step.kind)
    }
    const coats = (all: string[]) => all.filter(kind => kind === 'coat').length
    expect(await kinds()).toContain('fill')
    await appendEvents(knex, [entry(pen, 200, { kind: 'undo', payload: { entries: [repair.id] } })])
    expect((await readPen(knex, pen.id)).planVersion).toBe(3)
    const without = await kinds()
    expect(without).not.toContain('fill')
    await appendEvents(knex, [entry(pen, 300, { kind: 'coat', payload: { product: 'thin-ca', step: 'coat.2' } })])
    expect(coats(await kinds())).toBe(coats(without) + 1)
  })
})

it('that a mend failed, told late by a device that was away, makes the next choice a further mend instead of another', async () => {
  const pen = await makePen()
  const chip = entry(pen, 100, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 20, size: 0.8, step: 'clean' } })
  const choose = (seconds: number, way: 'shavings and CA' | 'thin CA') =>
    entry(pen, seconds, { kind: 'repair', payload: { defect: chip.id, way, step: 'clean' } })
  const mends = async () => {
    const { steps } = await readVersion(knex, pen.id, (await readPen(knex, pen.id)).planVersion)
    return new Set(steps.flatMap(step => step.mend ?? [])).size
  }
  await appendEvents(knex, [chip, choose(110, 'shavings and CA'), choose(130, 'thin CA')])
  expect(await mends()).toBe(1)
  await appendEvents(knex, [entry(pen, 120, { kind: 'settle', payload: { defect: chip.id, how: 'failed' } }, 'tablet')])
  expect(await mends()).toBe(2)
})

it('entries whose plan cannot be mended are kept all the same, and that is told', async () => {
  const pen = await makePen()
  await knex('plans').where({ pen_id: pen.id }).update({ body: '{"form":7}' })
  const chip = entry(pen, 100, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 20, size: 0.8, step: 'clean' } })
  const repair = entry(pen, 110, { kind: 'repair', payload: { defect: chip.id, way: 'thin CA', step: 'clean' } })
  const logged = jest.spyOn(console, 'error').mockImplementation(() => {})
  expect(await appendEvents(knex, [chip, repair])).toEqual([chip.id, repair.id])
  expect(logged).toHaveBeenCalledWith(expect.stringMatching(/its plan is not mended: .*cannot be read/))
  logged.mockRestore()
  expect(await eventsOf(knex, pen.id)).toHaveLength(2)
  expect((await readPen(knex, pen.id)).planVersion).toBe(1)
})

describe('following', () => {
  it('tells each entry once, in its order, what came in meanwhile too', async () => {
    const pen = await makePen()
    const has = { entries: await lastSeq(knex), changes: await lastChange(knex) }
    await appendEvents(knex, [done(pen, 0, 'parts'), done(pen, 5, 'cut')])
    const heard: Message[] = []
    const take = follow(askingSource(work => knex.transaction(work)), has, async message => void heard.push(message))
    await take({ kind: 'entries' })
    await appendEvents(knex, [done(pen, 10, 'drill')])
    await Promise.all([take({ kind: 'entries' }), take({ kind: 'entries' }), take({ kind: 'changes' })])
    const entries = heard.flatMap(message => (message.kind === 'entries' ? message.entries : []))
    expect(entries.map(event => ('step' in event.payload ? event.payload.step : ''))).toEqual(['parts', 'cut', 'drill'])
    expect(entries.map(event => event.seq)).toEqual([...entries.map(event => event.seq)].sort((a, b) => a - b))
    expect(heard.filter(message => message.kind === 'changes')).toEqual([])
  })
  it('a screen that was away is told every kind of thing that was changed meanwhile, each once', async () => {
    const pen = await makePen()
    const has = { entries: 0, changes: await lastChange(knex) }
    await readInstrument(knex, { at: new Date().toISOString(), celsius: 17, humidity: 58 })
    await changeShelf(knex, { item: 'P-320', there: false })
    await changeShelf(knex, { item: 'P-320', there: true })
    await changeBit(knex, { diameter: 7, count: 2, there: true })
    await dropFitting(knex, 'cap-9')
    await replanPen(knex, pen.id, 1)
    const method = await copyMethod(knex, 'oil', 'My oil')
    const heard: Message[] = []
    const take = follow(askingSource(work => knex.transaction(work)), has, async message => void heard.push(message))
    await take({ kind: 'changes' })
    await take({ kind: 'changes' })
    expect(heard).toHaveLength(1)
    const told = heard.flatMap(message => (message.kind === 'changes' ? message.changes : []))
    expect(told.map(one => `${one.kind} ${one.ref}`.trim()).sort()).toEqual(
      ['air', 'bits', 'fittings', 'methods', `pen ${pen.id}`, 'shelf', 'workshop'].sort(),
    )
    await putAwayMethod(knex, method.id, true)
    await take({ kind: 'changes' })
    expect(heard.at(-1)).toMatchObject({ kind: 'changes', changes: [{ kind: 'methods', ref: '' }] })
  })
  it('changes grow in the order in which they become visible, whoever writes at the same time', async () => {
    let last = await lastChange(knex)
    const seen = new Set<string>()
    let writing = true
    const reading = (async () => {
      // What was written while it read is read once more before it ends.
      for (let [more, stillWriting] = [true, true]; more || stillWriting;) {
        stillWriting = writing
        const found = await changesAfter(knex, last, 2)
        more = found.changes.length > 0
        last = found.upTo
        for (const { ref } of found.changes) seen.add(ref)
      }
    })()
    const pens = await Promise.all(Array.from({ length: 12 }, () => makePen()))
    writing = false
    await reading
    expect(pens.every(pen => seen.has(pen.id))).toBe(true)
  })
  it('an entry is not appended while another is being, so that none becomes visible behind a number that was read', async () => {
    const pen = await makePen()
    const [first, second] = [done(pen, 0, 'parts'), done(pen, 1, 'cut')]
    let later: Promise<string> = Promise.resolve('')
    const waits = async (): Promise<string> => {
      for (;;) {
        const { rows } = await knex.raw('select 1 from pg_locks where locktype = \'advisory\' and not granted')
        if (rows.length) return 'waits'
      }
    }
    await knex.transaction(async (trx) => {
      await appendEvents(trx, [first])
      later = appendEvents(knex, [second]).then(() => 'appended')
      expect(await Promise.race([later, waits()])).toBe('waits')
    })
    expect(await later).toBe('appended')
    expect((await eventsOf(knex, pen.id)).map(event => event.id)).toEqual([first.id, second.id])
  })
  it('numbers grow in the order in which entries become visible: who reads on from the last number misses none, whoever writes at '
    + 'the same time', async () => {
    const pen = await makePen()
    const heard: string[] = []
    let [last, writing] = [await lastSeq(knex), true]
    const reading = (async () => {
      for (let [more, stillWriting] = [true, true]; more || stillWriting;) {
        stillWriting = writing
        const entries = await eventsAfter(knex, last, 3)
        more = entries.length > 0
        last = entries.at(-1)?.seq ?? last
        heard.push(...entries.map(event => event.id))
      }
    })()
    const sent = Array.from({ length: 40 }, (_, index) => done(pen, index, `step.${index}`))
    await Promise.all(sent.map(event => appendEvents(knex, [event])))
    writing = false
    await reading
    expect([...heard].sort()).toEqual(sent.map(event => event.id).sort())
  })
})

it('hands that were on another pen are known', async () => {
  const [one, other] = [await makePen(), await makePen()]
  await appendEvents(knex, [
    done(one, 0, 'parts'),
    done(one, 100, 'cut'),
    done(other, 60, 'parts'),
    done(other, 900, 'cut'),
    { ...done(other, 3650, 'tube'), ahead: 3_600_000 },
  ])
  expect(await elsewhereOf(knex, one.id)).toEqual([new Date(START + 50_000).toISOString(), new Date(START + 60_000).toISOString()])
  expect(await elsewhereOf(knex, (await makePen()).id)).toEqual([])
})

it('all defects over all pens, and what they tell of causes and mends', async () => {
  const pen = await makePen({ material: 'pear' })
  const chips = [0, 1].map(index =>
    entry(pen, index, { kind: 'defect', payload: { kind: 'chip', barrel: 'only', fromTip: 10 + index, size: 0.5, step: 'turn' } }),
  )
  const of = (index: number, seconds: number, what: Record<string, unknown>, kind: string) =>
    entry(pen, seconds, { kind, payload: { defect: chips[index]!.id, ...what } } as Entry)
  const hole = entry(pen, 20, { kind: 'defect', payload: { kind: 'void', barrel: 'only', fromTip: 3, size: 0.5, step: 'clean' } })
  await appendEvents(knex, [
    ...chips,
    of(0, 5, { cause: 'dull tool' }, 'judge'),
    of(0, 6, { way: 'thin CA', step: 'turn' }, 'repair'),
    of(0, 8, { how: 'mended' }, 'settle'),
    of(1, 9, { way: 'thin CA', step: 'turn' }, 'repair'),
    of(1, 10, { how: 'failed' }, 'settle'),
    hole,
  ])
  const { defects } = await pageDefects(knex, {})
  expect(defects.map(one => [one.kind, one.fromTip, one.status, one.material.name])).toEqual([
    ['void', 3, 'open', 'Pear'],
    ['chip', 11, 'open', 'Pear'],
    ['chip', 10, 'mended', 'Pear'],
  ])
  expect(await defectHistory(knex)).toEqual({
    causes: { chip: { 'dull tool': 1 } },
    ways: [{ kind: 'chip', way: 'thin CA', worked: 1, failed: 1 }],
    usual: {},
  })
})

it('an instrument’s reading is the air from then on, and leaves the rest of the workshop as it was', async () => {
  const before = await readWorkshop(knex)
  await readInstrument(knex, { at: new Date().toISOString(), celsius: 17.4, humidity: 63 })
  expect(await readWorkshop(knex)).toEqual({ ...before, celsius: 17.4, humidity: 63 })
  expect((await readAir(knex)).at(-1)).toMatchObject({ celsius: 17.4, humidity: 63 })
})
