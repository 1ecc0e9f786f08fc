import fc from 'fast-check'
import type { Knex } from 'knex'
import { defectKinds } from '../../core/defects'
import type { Trial, WorkshopLearnt } from '../../contract'
import { plannedTraits } from '../../core/bench'
import {
  apartIn, cellsOf, conditionText, howOften, readyQuestions, traits, type Asked, type Cell, type ToldPen, type Trait, type Traits,
} from '../../core/findings'
import { copyPens } from '../../tests/database/many'
import { onDatabase } from '../../tests/database/suite'
import { chance } from '../../tests/support/chance'
import { alikePens } from './alike'
import { appendEvents } from './append'
import { withoutAside } from './aside'
import { answerFinding, findingsPlace, pensOfFinding, workOutPlace } from './findings'
import { readLearnt } from './learnt'
import { changeAside, learntCourse, readLearntOf } from './learnt-of'
import { allLooks } from './looks'
import { changePen, createPen, readPen } from './pens'
import { defectPlaces, figureCourse, keptWaits, measuredFilm, stepTimes } from './pictures'
import { readPlan } from './plans'
import { writeTold } from './told'
import { beginTrial, endTrial, giveWay, listTrials } from './trials'

const database = onDatabase()
let knex: Knex
beforeEach(() => {
  knex = database()
})
const wanted = {
  mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss',
} as const
const made = async (change: object = {}) => (await createPen(knex, { ...wanted, ...change })).id
/** A moment so many minutes after an evening began. */
const at = (minute: number) => new Date(Date.parse('2019-11-30T18:00:00.000Z') + minute * 60_000).toISOString()
const entry = (pen: string, minute: number, kind: string, payload: object) =>
  ({ id: crypto.randomUUID(), pen, kind, payload, barrels: ['only'], device: 'bench', at: at(minute) }) as never
/** Works a pen to its end, at an uneven pace, so that times are measured. */
async function finish(pen: string, ...besides: object[]) {
  const { steps } = await readPlan(knex, (await readPen(knex, pen))!)
  const done = steps.map(({ id }, index) => entry(pen, index + (index % 3) / 5, 'done', { step: id }))
  await appendEvents(knex, [...besides as never[], ...done])
}

describe('a pen that is over tells how it was made and how it turned out', () => {
  const told = async (pen: string) => knex('pen_told').where({ pen_id: pen }).first()
  it('nothing before it is finished; then its traits, its defects and its minutes', async () => {
    const pen = await made({ due: '2019-12-01' })
    await appendEvents(knex, [entry(pen, 0, 'done', { step: 'parts' })])
    expect(await told(pen)).toBeUndefined()
    const bleed = entry(pen, 20, 'defect', { kind: 'bleed', barrel: 'only', fromTip: 10, size: 2, step: null })
    await finish(pen, bleed)
    expect(await told(pen)).toMatchObject({
      wood: 'Apple', class: 'close-grained', tool: 'skew', shape: 'slight belly', defects: ['bleed'], scrapped: false, finished: true,
      first_coat: 'Thin CA', last_grit: expect.stringMatching(/^P\d+$/), coats: expect.stringMatching(/^\d+$/),
      figures: { minutes: expect.any(Number) },
    })
    // Taken back, it is open again and tells nothing.
    const [last] = await knex('events').where({ pen_id: pen }).orderBy('seq', 'desc').limit(1)
    await appendEvents(knex, [entry(pen, 200, 'undo', { entries: [last.id] })])
    expect(await told(pen)).toBeUndefined()
  })
  it('who made it, where somebody did who was asked', async () => {
    const [pen, who] = [await made(), crypto.randomUUID()]
    await knex('pens').where({ id: pen }).update({ maker: who })
    await finish(pen)
    await finish(await made({ mark: 'A2' }))
    expect((await told(pen)).who).toBe(who)
    expect(await answerFinding(knex, { of: 'any defect', by: 'who' })).toMatchObject({ all: { of: 1 }, groups: [{ value: who }] })
    expect((await findingsPlace(knex)).place.values.who).toEqual([who])
  })
  it('one that was given up tells so; one that was a mistake tells nothing', async () => {
    const [up, never] = [await made(), await made({ mark: 'A2' })]
    for (const [pen, how] of [[up, 'given up'], [never, 'mistake']] as const)
      await appendEvents(knex, [entry(pen, 0, 'done', { step: 'parts' }), entry(pen, 9, 'away', { how, why: 'cracked' })])
    expect(await told(up)).toMatchObject({ scrapped: true, finished: false, ended: new Date(at(9)) })
    expect(await told(never)).toBeUndefined()
  })
  it('when it was promised for is told anew with the promise', async () => {
    const pen = await made({ due: '2019-11-01' })
    await finish(pen)
    const kept = async () => answerFinding(knex, { of: 'in time', by: 'wood' })
    expect(await kept()).toMatchObject({ all: { hits: 0, of: 1 } })
    const { version } = (await readPen(knex, pen))!
    await changePen(knex, pen, { version, due: '2019-12-24' } as never)
    expect(await kept()).toMatchObject({ all: { hits: 1, of: 1 } })
  })
})

describe('counted by the database', () => {
  const words = fc.constantFrom('foam', 'towel', 'spray')
  const anyTold: fc.Arbitrary<ToldPen> = fc.record({
    ended: fc.integer({ min: 0, max: 1e5 }).map(at), coated: fc.integer({ min: 0, max: 1e5 }).map(at),
    traits: fc.record(Object.fromEntries(traits.filter(one => one !== 'hour').map(one => [one, words])), { requiredKeys: ['method'] }),
    defects: fc.uniqueArray(fc.constantFrom(...defectKinds.slice(0, 4))), mends: fc.integer({ min: 0, max: 3 }),
    failed: fc.integer({ min: 0, max: 1 }), scrapped: fc.boolean(), finished: fc.boolean(),
    figures: fc.record({ minutes: fc.integer({ min: 1, max: 200 }) }, { requiredKeys: [] }),
  })
  const asks: Record<string, Asked> = {
    'any defect': pen => pen.defects.length > 0,
    'chip': pen => pen.defects.includes('chip'),
    'failed mend': pen => (pen.mends ? pen.failed > 0 : undefined),
    'scrapped': pen => pen.scrapped,
  }
  const sorted = <T>(all: readonly T[]) => [...all].map(one => JSON.stringify(one)).sort()

  it('it is what the core counts, pen by pen: any question, among any, and all looks at once (property)', async () => {
    await copyPens(knex, database.owner(), await made(), 12)
    const ids: string[] = await knex('pens').orderBy('id').limit(12).pluck('id')
    const byTrait = fc.constantFrom<Trait>('method', 'class', 'last grit', 'first coat', 'hour', 'who')
    await fc.assert(fc.asyncProperty(
      fc.array(anyTold, { minLength: 1, maxLength: 12 }), fc.constantFrom(...Object.keys(asks)), byTrait,
      fc.uniqueArray(byTrait, { maxLength: 3 }),
      async (pens, of, by, traitsAsked) => {
        const maker = (index: number) => pens[index]?.traits.who ?? null
        await writeTold(knex, ids.map((id, index) => ({ pen: { id, due: null, maker: maker(index) }, told: pens[index] })))
        const full = pens.map(pen => ({ ...pen, traits: { ...pen.traits, hour: pen.coated!.slice(11, 13) } }))
        const own: ToldPen['traits'] = full[0]!.traits
        const conditions = traitsAsked.flatMap(trait => (own[trait] === undefined ? [] : [{ trait, value: own[trait] }]))
        const among = conditions.map(conditionText)
        const which = full.filter(pen => conditions.every(({ trait, value }) => pen.traits[trait] === value))
        const told = await answerFinding(knex, { of: of as never, by, zone: 'UTC', among })
        const expected = howOften(cellsOf(which, asks[of]!, by), by)
        if (told.kind !== 'rate') throw new Error('It was asked how often.')
        expect(told.all).toEqual(expected.all)
        expect(sorted(told.groups)).toEqual(sorted(expected.groups))
        expect(told.differences.map(one => one.likelihood.toFixed(9))).toEqual(expected.differences.map(one => one.likelihood.toFixed(9)))
        const { looks, often, pens: all } = await allLooks(knex, 'UTC')
        expect(all).toBe(pens.length)
        for (const kind of defectKinds) expect(often[kind] ?? 0).toBe(pens.filter(pen => pen.defects.includes(kind)).length)
        for (const look of looks) {
          const counts = (cells: readonly Cell[]) => sorted(cells.map(({ value, hits, of }) => [value, hits, of]))
          expect(counts(look.cells)).toEqual(counts(cellsOf(full, pen => pen.defects.includes(look.of), look.trait)))
        }
        // Every number opens to its pens.
        for (const { value: is, counted } of told.groups) {
          const asked = { of: of as never, by, zone: 'UTC', is, among }
          expect((await pensOfFinding(knex, asked)).all).toBe(counted.of)
          expect((await pensOfFinding(knex, { ...asked, so: 'yes' })).all).toBe(counted.hits)
        }
      }), { numRuns: 40 })
  }, 120_000)

  it('how much is told from those that have it, and opens to their figures', async () => {
    await copyPens(knex, database.owner(), await made(), 12)
    const ids: string[] = await knex('pens').orderBy('id').limit(12).pluck('id')
    const plain = { ended: at(1), defects: [], mends: 0, failed: 0, scrapped: false, finished: true }
    await writeTold(knex, ids.map((id, index) => ({
      pen: { id, due: null, maker: null },
      told: { ...plain, traits: { tool: index % 2 ? 'skew' : 'gouge' }, figures: index < 10 ? { minutes: 100 + 10 * index } : {} },
    })))
    const told = await answerFinding(knex, { of: 'minutes', by: 'tool' })
    const groups = [{ of: 5, value: 'gouge', middle: 140 }, { of: 5, value: 'skew', middle: 150 }]
    expect(told).toMatchObject({ kind: 'figure', pens: 10, latest: null, groups })
    const { all, pens } = await pensOfFinding(knex, { of: 'minutes', by: 'tool', is: 'skew' })
    expect([all, pens.map(one => one.figure).sort()]).toEqual([5, [110, 130, 150, 170, 190]])
  })
})

describe('pens like one', () => {
  it('are the nearest by what they differ in, as the core has them; the latest first of those that are as near', async () => {
    const own = await made({ mark: 'B1' })
    await copyPens(knex, database.owner(), await made(), 30)
    const ids: string[] = await knex('pens').whereNot({ id: own }).orderBy('id').limit(30).pluck('id')
    const planned = plannedTraits(await readPlan(knex, (await readPen(knex, own))!))
    const plain = { defects: [], mends: 0, failed: 0, scrapped: false, finished: true, figures: {} }
    const { uniform } = chance(4)
    const told = ids.map((id, index) => ({
      pen: { id, due: null, maker: null },
      // Now one trait is another, now several, now none is known.
      told: {
        ...plain, ended: at(index),
        traits: Object.fromEntries(Object.entries(planned).flatMap(([trait, value]) =>
          uniform() < 0.2 ? [] : [[trait, uniform() < 0.5 ? value : 'another']])),
      },
    }))
    await writeTold(knex, told)
    const far = (traits: Traits) => apartIn(planned, traits).reduce((sum, one) => sum + one.by, 0)
    const expected = told.map(one => ({ id: one.pen.id, far: far(one.told.traits), ended: one.told.ended }))
      .sort((a, b) => a.far - b.far || (a.ended < b.ended ? 1 : -1))
    const found = await alikePens(knex, own)
    expect(found).toHaveLength(6)
    expect(found.map(one => one.apart.reduce((sum, each) => sum + each.by, 0))).toEqual(expected.slice(0, 6).map(one => one.far))
    expect(found.map(one => one.id)).toEqual(expected.slice(0, 6).map(one => one.id))
  })
})

describe('a trial of two ways', () => {
  const trial = { id: crypto.randomUUID(), of: 'chip' as const, by: 'tool' as const, ways: ['skew', 'gouge'], pens: 2 }
  const only = async (told: Promise<Trial[]>) => (await told)[0]!
  it('draws a way for each pen, tells nothing before all are over, and counts pens as they were drawn', async () => {
    await beginTrial(knex, trial)
    // The same again is the same trial.
    expect(await beginTrial(knex, { ...trial, pens: 9 })).toMatchObject([{ pens: 2, given: [], answer: null, ended: null }])
    const ids = []
    for (const mark of ['B1', 'B2', 'B3', 'B4']) ids.push(await made({ mark }))
    const drawn: string[] = []
    for (const id of ids) {
      drawn.push((await only(listTrials(knex))).next!)
      await giveWay(knex, trial.id, id)
      // Said again it has the way that it has.
      expect((await only(giveWay(knex, trial.id, id))).given.at(-1)!.way).toBe(drawn.at(-1))
    }
    expect([...drawn].sort()).toEqual(['gouge', 'gouge', 'skew', 'skew'])
    expect([...drawn.slice(0, 2)].sort()).toEqual(['gouge', 'skew'])
    expect((await only(listTrials(knex))).next).toBeNull()
    const more = await made({ mark: 'B5' })
    await expect(giveWay(knex, trial.id, more)).rejects.toThrow(/takes no more pens/)
    // All are made with a skew: those that were to have a gouge are counted as such.
    for (const [index, id] of ids.entries()) {
      expect((await only(listTrials(knex))).answer).toBeNull()
      const chip = entry(id, 20, 'defect', { kind: 'chip', barrel: 'only', fromTip: 10, size: 1, step: null })
      await finish(id, ...(drawn[index] === 'gouge' ? [chip] : []))
    }
    const { answer, given } = await only(listTrials(knex))
    expect(given.map(one => one.made)).toEqual(['skew', 'skew', 'skew', 'skew'])
    const counts = new Map(answer!.groups.map(one => [one.value, one.counted]))
    expect([counts.get('gouge'), counts.get('skew')]).toEqual([{ hits: 2, of: 2 }, { hits: 0, of: 2 }])
  })
  it('takes only pens that are here and not begun, and can be ended before its time', async () => {
    const other = { ...trial, id: crypto.randomUUID() }
    await beginTrial(knex, other)
    const [begun, planned] = [await made({ mark: 'B1' }), await made({ mark: 'B2' })]
    await appendEvents(knex, [entry(begun, 0, 'done', { step: 'parts' })])
    await expect(giveWay(knex, other.id, begun)).rejects.toMatchObject({ fields: { pen: expect.stringMatching(/not begun/) } })
    await expect(giveWay(knex, other.id, crypto.randomUUID())).rejects.toMatchObject({ fields: { pen: expect.stringMatching(/is here/) } })
    await expect(giveWay(knex, crypto.randomUUID(), planned)).rejects.toThrow(/no such trial/)
    await giveWay(knex, other.id, planned)
    const [ended] = await endTrial(knex, other.id)
    expect(ended).toMatchObject({ next: null, given: [{ mark: 'B2', made: null }], answer: { all: { of: 0 } } })
    expect((await endTrial(knex, other.id))[0]!.ended).toBe(ended!.ended)
    await expect(giveWay(knex, other.id, await made({ mark: 'B3' }))).rejects.toThrow(/takes no more pens/)
  })
  it('one that is damaged is passed over and takes no pens; the others stand', async () => {
    const [broken, whole] = [crypto.randomUUID(), crypto.randomUUID()]
    for (const id of [broken, whole]) await beginTrial(knex, { ...trial, id })
    await knex('trials').where({ id: broken }).update({ body: '{"of":"chip","ways":"both"}' })
    expect((await listTrials(knex)).map(one => one.id)).toEqual([whole])
    await expect(giveWay(knex, broken, await made({ mark: 'B1' }))).rejects.toThrow(/no such trial/)
  })
  it('screens hear of trials, of their pens, and of what is set aside', async () => {
    const heard = async () => (await knex('changes').where({ kind: 'findings' }).first('seq'))?.seq as string | undefined
    expect(await heard()).toBeUndefined()
    const seen = new Set<string | undefined>()
    const id = crypto.randomUUID()
    await beginTrial(knex, { ...trial, id })
    seen.add(await heard())
    await giveWay(knex, id, await made({ mark: 'B1' }))
    seen.add(await heard())
    await changeAside(knex, { what: 'even', aside: true })
    seen.add(await heard())
    expect(seen.size).toBe(3)
    expect(seen.has(undefined)).toBe(false)
  })
})

describe('in pictures', () => {
  it('a figure goes from pen to pen in the order of time, of those that tell it', async () => {
    await copyPens(knex, database.owner(), await made(), 5)
    const ids: string[] = await knex('pens').orderBy('id').limit(5).pluck('id')
    const plain = { defects: [], mends: 0, failed: 0, scrapped: false, finished: true, traits: {} }
    await writeTold(knex, ids.map((id, index) => ({
      pen: { id, due: null, maker: null }, told: { ...plain, ended: at(100 - index), figures: index === 2 ? {} : { minutes: 10 * index } },
    })))
    expect((await figureCourse(knex, { of: 'minutes' })).pens.map(one => [one.id, one.figure]))
      .toEqual([[ids[4], 40], [ids[3], 30], [ids[1], 10], [ids[0], 0]])
    expect(await figureCourse(knex, { of: 'film of a coat' })).toEqual({ pens: [] })
    // A row that is damaged tells nothing, and stops nobody.
    await knex('pen_told').where({ pen_id: ids[4] }).update({ figures: '{"minutes":"long"}' })
    expect((await figureCourse(knex, { of: 'minutes' })).pens).toHaveLength(3)
    expect(await answerFinding(knex, { of: 'minutes', by: 'hour' })).toMatchObject({ kind: 'figure' })
    expect((await alikePens(knex, ids[0]!)).find(one => one.id === ids[4])!.minutes).toBeNull()
  })
  it('defects lie where they were found, by fitting, those with most first', async () => {
    const [one, two, other] = [await made({ mark: 'B1' }), await made({ mark: 'B2' }), await made({ mark: 'B3', fitting: 'twist-7' })]
    const chip = (pen: string, barrel: string, fromTip: number) =>
      ({ ...(entry(pen, 1, 'defect', { kind: 'chip', barrel, fromTip, size: 1, step: null }) as object), barrels: [barrel] }) as never
    await appendEvents(knex, [chip(one, 'only', 5), chip(two, 'only', 40), chip(other, 'lower', 12)])
    const told = await defectPlaces(knex, { kind: 'chip' })
    expect(told.map(each => each.fitting.id)).toEqual(['click-8', 'twist-7'])
    expect(told[0]!.defects.map(each => each.fromTip).sort()).toEqual([40, 5])
    expect(told[1]!.defects).toMatchObject([{ barrel: 'lower', fromTip: 12, kind: 'chip', size: 1 }])
    expect(await defectPlaces(knex, { kind: 'bleed' })).toEqual([])
  })
  /** Facts of a pen as they are given; rows that are damaged tell nothing. */
  const facts = async (pen: string, kind: string, rows: readonly { about: string, at: string, body: object }[]) => {
    await knex('facts').where({ pen_id: pen }).delete()
    await knex('facts').insert(rows.map((row, place) => ({ ...row, pen_id: pen, kind, place, body: JSON.stringify(row.body) })))
  }
  it('times by step are of those that were measured, quartiles by kind, the longest first; each kind has its latest', async () => {
    const pen = await made()
    const step = (about: string, seconds: unknown, timing = 'measured') =>
      ({ about, at: at(1), body: { step: 'x', seconds, timing, planned: 60, setUp: null } })
    await facts(pen, 'step', [
      ...[10, 20, 30, 40, 50].map(one => step('coat', one)), step('coat', 9999, 'planned'), step('coat', 'long'),
      ...[100, 300].map(one => step('turn', one, 'yours')),
    ])
    expect(await stepTimes(knex)).toEqual([
      { kind: 'turn', steps: 2, taken: [120, 150, 200, 250, 280], planned: 60 },
      { kind: 'coat', steps: 5, taken: [14, 20, 30, 40, 46], planned: 60 },
    ])
    await facts(pen, 'step', Array.from({ length: 510 }, (_, index) => ({ ...step('coat', index < 10 ? 9999 : 5), at: at(index) })))
    expect(await stepTimes(knex)).toEqual([{ kind: 'coat', steps: 500, taken: [5, 5, 5, 5, 5], planned: 60 }])
  })
  it('film stands beside what was planned, waits beside their air, the latest first', async () => {
    const pen = await made()
    const growth = (minute: number, planned: unknown) => ({ about: 'ca-thin', at: at(minute), body: { growth: 12, planned, coats: {} } })
    await facts(pen, 'growth', [growth(1, 10), growth(2, 11), growth(3, undefined)])
    expect(await measuredFilm(knex)).toEqual({ coats: [
      { id: pen, mark: 'A1', at: at(2), product: 'ca-thin', built: 12, planned: 11 },
      { id: pen, mark: 'A1', at: at(1), product: 'ca-thin', built: 12, planned: 10 },
    ] })
    const told = { seconds: 600, shortBy: 100, waited: 500, air: { celsius: 18.5, humidity: 61 } }
    await facts(pen, 'wait', [{ about: 'level', at: at(1), body: told }, { about: 'level', at: at(2), body: { ...told, air: undefined } }])
    expect(await keptWaits(knex, { purpose: 'level' })).toEqual({ waits: [
      { id: pen, mark: 'A1', at: at(1), waited: 500, wanted: 600, shortBy: 100, celsius: 18.5, humidity: 61 },
    ] })
    expect(await keptWaits(knex, { purpose: 'assemble' })).toEqual({ waits: [] })
  })
})

describe('the place', () => {
  it('is worked out once and kept until a pen more is over', async () => {
    expect((await findingsPlace(knex)).place).toMatchObject({ pens: 0, noticed: [] })
    const pen = await made()
    await finish(pen)
    expect((await findingsPlace(knex)).place.pens).toBe(1)
    const asked: string[] = []
    const hear = ({ sql }: { sql: string }) => asked.push(sql)
    knex.on('query', hear)
    expect((await findingsPlace(knex)).place.pens).toBe(1)
    knex.removeListener('query', hear)
    expect(asked).toHaveLength(1)
    await finish(await made({ mark: 'A2' }))
    expect((await findingsPlace(knex)).place.pens).toBe(2)
  })
  it('of very many pens what was worked out last is told at once, and that it is old; worked out anew it is new', async () => {
    await finish(await made())
    await findingsPlace(knex)
    const many = 'update lessons set body = jsonb_set(body, \'{pens}\', \'5000\'), learnt_at = learnt_at - 100 where kind = \'told\''
    await knex.raw(many)
    expect(await findingsPlace(knex)).toMatchObject({ isOld: true, place: { pens: 5000 } })
    await workOutPlace(knex)
    expect(await findingsPlace(knex)).toMatchObject({ isOld: false, place: { pens: 1 } })
  })
  it('of very many that were never counted it is told that they are being counted, and what can be asked meanwhile', async () => {
    const pen = await made()
    await finish(pen)
    await copyPens(knex, database.owner(), pen, 2000)
    await knex('lessons').where({ kind: 'told' }).delete()
    const first = await findingsPlace(knex)
    expect(first).toMatchObject({ isOld: true, place: { isCounting: true, pens: 2001, noticed: [] } })
    expect(first.place.ready.map(({ of, by }) => ({ of, by }))).toEqual(readyQuestions)
    await workOutPlace(knex)
    expect(await findingsPlace(knex)).toMatchObject({ isOld: false, place: { isCounting: false, pens: 2001 } })
  })
  it('what stands out keeps the day on which it was seen first; what pens are over since is looked at anew', async () => {
    await copyPens(knex, database.owner(), await made(), 40)
    const ids: string[] = await knex('pens').orderBy('id').limit(40).pluck('id')
    const one = (index: number): ToldPen => ({
      ended: at(index), coated: at(index % 2 ? 0 : 120), traits: { tool: 'skew', method: 'oil', class: 'light' },
      defects: index % 2 ? ['chip'] : [], mends: 0, failed: 0, scrapped: false, finished: true, figures: {},
    })
    await writeTold(knex, ids.slice(0, 39).map((id, index) => ({ pen: { id, due: null, maker: null }, told: one(index) })))
    await knex('lessons').where({ kind: 'told' }).delete()
    const [first] = (await findingsPlace(knex)).place.noticed
    // The hour of the first coat alone tells them apart.
    expect(first).toMatchObject({ of: 'chip', trait: 'hour' })
    const since = '\'{noticed,0,since}\', \'"2019-12-24T00:00:00.000Z"\''
    await knex.raw(`update lessons set body = jsonb_set(body, ${since}), learnt_at = learnt_at - 10 where kind = 'told'`)
    await writeTold(knex, [{ pen: { id: ids[39]!, due: null, maker: null }, told: one(39) }])
    const { place } = await findingsPlace(knex)
    expect([place.pens, place.noticed[0]!.since]).toEqual([40, '2019-12-24T00:00:00.000Z'])
    expect(place.noticed[0]!.sides.one.of + place.noticed[0]!.sides.other.of).toBe(40)
  })
})

describe('what was learnt', () => {
  it('moves: what it was after each quarter of the pens is worked out from what there was by then', async () => {
    const { steps } = await readPlan(knex, (await readPen(knex, await made()))!)
    /** A pen that is finished on a day, each step so many minutes after the last. */
    const slow = async (day: number, minutes: number) => {
      const pen = await made({ mark: `C${day}` })
      const when = (index: number) => 1440 * day + minutes * index + (index % 3) / 5
      await appendEvents(knex, steps.map(({ id }, index) => entry(pen, when(index), 'done', { step: id })))
    }
    for (const day of [1, 2, 3]) await slow(day, 1)
    expect(await learntCourse(knex)).toEqual({ points: [] })
    for (const day of [4, 5, 6, 7, 8]) await slow(day, 3)
    const { points } = await learntCourse(knex)
    expect(points.map(one => one.at.slice(0, 10))).toEqual(['2019-12-02', '2019-12-04', '2019-12-06'])
    const pace = (learnt: WorkshopLearnt) => learnt.hands!.paces.coat!.factor
    const all = [...points.map(one => pace(one.learnt)), pace((await readLearntOf(knex)).learnt)]
    expect(all).toEqual([...all].sort((a, b) => a - b))
    expect(all[3]! / all[0]!).toBeGreaterThan(1.3)
  })
  it('and is set aside counts for nothing where plans are made, is still shown, and comes back', async () => {
    const pen = await made()
    const { steps } = await readPlan(knex, (await readPen(knex, pen))!)
    // Twice as long as the plan has it, at an uneven pace.
    await appendEvents(knex, steps.map(({ id }, index) => entry(pen, 3 * index + (index % 3), 'done', { step: id })))
    const { learnt } = await readLearntOf(knex)
    const kind = Object.keys(learnt.hands!.paces)[0]!
    const told = await changeAside(knex, { what: `paces:${kind}`, aside: true })
    await changeAside(knex, { what: `paces:${kind}`, aside: true })
    expect(told.aside).toEqual([`paces:${kind}`])
    expect(told.learnt.hands!.paces).toHaveProperty(kind)
    expect((await readLearnt(knex)).hands!.paces).not.toHaveProperty(kind)
    expect(Object.keys((await readLearnt(knex)).hands!.paces)).toHaveLength(Object.keys(learnt.hands!.paces).length - 1)
    expect((await changeAside(knex, { what: `paces:${kind}`, aside: false })).aside).toEqual([])
    expect((await readLearnt(knex)).hands!.paces).toHaveProperty(kind)
  })
  it('a build that is set aside is the usual one again, as if nothing was measured', () => {
    const own = { build: 9, low: 8, high: 10, weight: 0.8, measurements: 4 }
    const learnt = { sanding: {}, builds: { products: { a: own, b: own }, setAside: [] } }
    const { products } = withoutAside(learnt, new Set(['builds:a', 'even']), { a: 6, b: 6 }).builds
    expect(products).toEqual({ a: { build: 6, low: 6, high: 6, weight: 0, measurements: 0 }, b: own })
  })
})
