import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { replay } from '../../core/bench'
import type { WorkshopEntry } from '../../contract'
import type { NewPen } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { ConflictError, FieldsError, GoneError, NotFoundError } from '../faults'
import { readAir } from './air-log'
import { appendEvents } from './append'
import { listBits } from './bits'
import { addReading, changeBlank, createBlank, dropBlank, dropReading, listBlanks, readBlank } from './blanks'
import { changesAfter, lastChange } from './changes'
import { defectHistory, pageDefects } from './defects'
import { deleteDemo, offerDemo, resetDemo, setUpDemo } from './demo'
import { listCustomers } from './customers'
import { listFittings } from './fittings'
import { readLearnt } from './learnt'
import { elsewhereOf, eventsAfter, eventsOf, lastSeq, logsOf } from './log'
import { freeMarks } from './marks'
import { listOrders } from './orders'
import { listPlaces } from './places'
import { listMethods, methodHistory } from './methods'
import { changePen, createPen, readPen, replanPen } from './pens'
import { readPrices } from './prices'
import { readPhoto } from './photos'
import { plansOf, readPlan } from './plans'
import { inWork, nextDue, pagePens, rowsOf } from './rows'
import { readShelf } from './shelf'
import { withinWorkshop } from './within'
import { listWorkshops, opening, rename } from './workshops'

const database = onDatabase()
const NOW = new Date('2026-11-23T19:42:00.000Z')
const PHOTO = randomUUID()
const wanted = (change: Partial<NewPen> = {}): NewPen => ({
  mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss', ...change,
})
/** Tables that belong to the installation, not to a workshop. */
const COMMON = [
  'workshops', 'installation', 'backups', 'knex_migrations', 'knex_migrations_lock', 'people', 'members', 'sessions', 'pairings', 'knocks',
]
let [mine, theirs, demo]: [Knex, Knex, WorkshopEntry] = [undefined as never, undefined as never, undefined as never]
beforeEach(async () => {
  demo = await setUpDemo(database.owner(), NOW)
  ;[mine, theirs] = [database.knex(), database.pool(demo.id)]
  await theirs('photos').insert({ id: PHOTO, width: 1, height: 1, large: Buffer.from('a'), small: Buffer.from('b') })
  await theirs('own_abrasives').insert({ id: 'own-x', label: 'x', coarser: 'P-220', finer: 'P-320', wet: true, dry: true })
  await theirs('own_products').insert({ id: 'own-y', name: 'y', alike: 'thin-ca', caution: '', source: '' })
  await readLearnt(theirs, { keeps: true })
  await theirs('evening_hours').insert({ who: 'turner', day: '5', spans: '[]' })
  await theirs('evening_pins').insert({ id: PHOTO, pen_id: (await theirs('pens').first('id'))!.id, body: '{}' })
  await theirs('evening_plans').insert({ day: '2019-11-30', first: '{}', latest: '{}' })
  await theirs('evening_calendars').insert({ secret: 'theirs' })
  await theirs('prices').insert({ what: 'hour', minor: 1 })
  await theirs('intakes').insert({ id: PHOTO, name: 'pens', rows: 1 })
  await theirs('intake_things').insert({ intake_id: PHOTO, place: 0, ref: 'x' })
  await theirs('supplies').insert({ what: 'bottle:thin-ca', source: 'x', pack: 1 })
  await theirs('stock_log').insert({ id: PHOTO, what: 'bottle:thin-ca', how: 'bought' })
  await theirs('pen_links').insert({ pen_id: (await theirs('pens').first('id'))!.id, seal: 'x' })
  await theirs('classes').insert({ id: PHOTO, name: 'x', body: '{}' })
  await theirs('class_marks').insert({ pen_id: (await theirs('pens').first('id'))!.id, body: '{}' })
  await theirs('learnt_aside').insert({ what: 'even' })
  await theirs('trials').insert({ id: PHOTO, seed: 1, body: '{}' })
  await theirs('trial_pens').insert({ trial_id: PHOTO, place: 0, pen_id: (await theirs('pens').first('id'))!.id, way: 'x' })
})

const tables = async (): Promise<string[]> =>
  (await database.owner()('pg_tables').where({ schemaname: 'public' }).whereNotIn('tablename', COMMON).pluck('tablename')) as string[]
const countOf = async (knex: Knex, table: string): Promise<number> => Number((await knex(table).count('* as count').first())!.count)

describe('the wall', () => {
  it('stands before every table, and every key begins with the workshop', async () => {
    const owner = database.owner()
    const found: { rows: { name: string, walled: boolean, policies: number, first: string }[] } = await owner.raw(`
      select relname as name, relrowsecurity as walled,
        (select count(*)::int from pg_policy where polrelid = pg_class.oid) as policies,
        (select attname from pg_index join pg_attribute on attrelid = indrelid and attnum = indkey[0]
          where indrelid = pg_class.oid and indisprimary) as first
      from pg_class where relkind = 'r' and relnamespace = 'public'::regnamespace order by relname`)
    const bare = found.rows.filter(one => !COMMON.includes(one.name) && !(one.walled && one.policies === 1 && one.first === 'workshop_id'))
    expect(bare).toEqual([])
    const unique: { rows: { name: string }[] } = await owner.raw(`
      select indexrelid::regclass::text as name from pg_index join pg_class on pg_class.oid = indrelid
      join pg_attribute on attrelid = indrelid and attnum = indkey[0]
      where indisunique and relnamespace = 'public'::regnamespace and attname <> 'workshop_id' and not relname = any(?)`, [COMMON])
    expect(unique.rows).toEqual([])
  })

  it('without any where nothing of another workshop is seen, changed or deleted, in any table', async () => {
    const owner = database.owner()
    for (const table of await tables()) {
      const before = await countOf(theirs, table)
      expect([table, before > 0]).toEqual([table, true])
      const seen: { workshop_id: string }[] = await mine(table).select('workshop_id')
      expect([table, seen.filter(row => row.workshop_id !== database.workshop())]).toEqual([table, []])
      const refused = mine(table).update({ workshop_id: demo.id }).then(count => (count ? 'changed' : 'none'), () => 'refused')
      expect([table, await refused]).toEqual([table, seen.length ? 'refused' : 'none'])
      await mine(table).delete().catch(() => undefined)
      expect([table, await countOf(theirs, table)]).toEqual([table, before])
    }
    const [pen] = await theirs('pens').limit(1)
    await expect(mine('pens').insert({ ...pen, id: randomUUID() })).rejects.toThrow(/row-level security/)
    // A pen of one workshop cannot hang on anything of another's.
    await expect(mine('plans').insert({ pen_id: pen.id, version: 9, body: '{}' })).rejects.toThrow(/plans_pen_id_foreign/)
    expect(await owner('pen_rows').where({ workshop_id: demo.id })).toHaveLength(14)
    expect(await mine('pen_texts')).toEqual([])
  })

  it('who has entered none sees nothing and writes nothing, and cannot ask for the list of workshops', async () => {
    const outside = database.pool()
    for (const table of [...await tables(), 'pen_texts']) expect([table, await outside(table)]).toEqual([table, []])
    await expect(outside('bits').insert({ diameter: 8, count: 1 })).rejects.toThrow(/null value|row-level security/)
    await expect(outside('workshops')).rejects.toThrow(/permission denied/)
    await expect(withinWorkshop(outside, randomUUID())(async () => 'in')).rejects.toThrow(GoneError)
    expect(await withinWorkshop(outside, demo.id)(inWork)).toHaveLength(5)
    // Left again with the transaction.
    expect(await outside('pens')).toEqual([])
  })

  it('whatever is asked for by its id or as a list, from another workshop there is none of it', async () => {
    const pen = (await inWork(theirs))[0]!
    const blank = (await listBlanks(theirs)).find(one => one.readings.length)!
    const { readings: [reading] } = blank
    const empty: [string, () => Promise<unknown>, unknown][] = [
      ['bench', () => inWork(mine), []],
      ['pens', () => pagePens(mine, 'metric', {}), { pens: [], next: null }],
      ['text', () => pagePens(mine, 'metric', { text: 'apple' }), { pens: [], next: null }],
      ['rows', () => rowsOf(mine, 'metric', [pen.id]), []],
      ['due', () => nextDue(mine), null],
      ['mark', () => freeMarks(mine), ['A1']],
      ['defects', () => pageDefects(mine, {}), { defects: [], next: null }],
      ['history', () => defectHistory(mine), { causes: {}, ways: [], usual: {} }],
      ['events', () => eventsOf(mine, pen.id), []],
      ['logs', () => logsOf(mine, [pen.id]), new Map([[pen.id, []]])],
      ['after', () => eventsAfter(mine, 0, 10), []],
      ['seq', () => lastSeq(mine), 0],
      ['elsewhere', () => elsewhereOf(mine, pen.id), []],
      ['plans', () => plansOf(mine, [pen.id]), new Map()],
      ['blanks', () => listBlanks(mine), []],
      ['blank', () => readBlank(mine, blank.id), undefined],
      ['bits', () => listBits(mine), []],
      ['prices', () => readPrices(mine), {}],
      ['orders', () => listOrders(mine, 'metric', {}), { orders: [], next: null }],
      ['customers', () => listCustomers(mine, {}), []],
      ['places', () => listPlaces(mine), []],
      ['air', () => readAir(mine), []],
      ['sanding', async () => (await readLearnt(mine)).sanding, {}],
      ['own pads', async () => (await readShelf(mine)).abrasives.filter(one => one.id === 'own-x'), []],
      ['sets', async () => (await listFittings(mine)).filter(one => one.sets > 0), []],
      ['changes', async () => (await changesAfter(mine, 0, 500)).changes.filter(one => one.kind === 'pen'), []],
      ['method’s pens', async () => (await methodHistory(mine, pen.method))[0]!.pens, []],
    ]
    for (const [name, ask, nothing] of empty) expect([name, await ask()]).toEqual([name, nothing])
    expect(await listMethods(mine)).toHaveLength((await listMethods(theirs)).length)
    const { version: _, readings: __, id: ___, ...asBlank } = blank
    const { seq: ____, receivedAt: _____, ...entry } = (await eventsOf(theirs, pen.id))[0]!
    const refused: [string, () => Promise<unknown>][] = [
      ['pen', () => readPen(mine, pen.id)],
      ['plan', () => readPlan(mine, pen)],
      ['change', () => changePen(mine, pen.id, { version: pen.version, name: 'x' })],
      ['plan anew', () => replanPen(mine, pen.id, pen.version)],
      ['append', () => appendEvents(mine, [entry])],
      ['photo', () => readPhoto(mine, PHOTO, 'small')],
      ['photo of a blank', () => createBlank(mine, { ...asBlank, photo: PHOTO })],
      ['pen from a blank', () => createPen(mine, wanted({ blank: blank.id }))],
      ['change of a blank', () => changeBlank(mine, blank.id, { ...asBlank, version: blank.version })],
      ['off the shelf', () => dropBlank(mine, blank.id)],
      ['reading', () => addReading(mine, blank.id, { id: randomUUID(), at: NOW.toISOString(), grams: 5 })],
      ['reading back', () => dropReading(mine, blank.id, reading!.id)],
    ]
    for (const [name, ask] of refused) {
      const error: unknown = await ask().then(() => 'done', (caught: unknown) => caught)
      expect([name, error instanceof NotFoundError || error instanceof FieldsError]).toEqual([name, true])
    }
    expect(await readPen(theirs, pen.id)).toEqual(pen)
    expect(await readBlank(theirs, blank.id)).toEqual(blank)
  })
})

it('logs and changes are numbered by workshop, and one workshop’s lock holds up no other', async () => {
  const [pen, other] = [await createPen(mine, wanted()), (await inWork(theirs))[0]!]
  const done = (id: string, step: string) => ({
    id: randomUUID(), pen: id, kind: 'done' as const, payload: { step }, barrels: ['only' as const], device: 't', at: NOW.toISOString(),
  })
  const [before, changed] = [await lastSeq(theirs), await lastChange(theirs)]
  await mine.transaction(async (trx) => {
    await appendEvents(trx, [done(pen.id, 'parts')])
    // Nobody waits for the transaction that is still open.
    await appendEvents(theirs, [done(other.id, 'x')])
  })
  await appendEvents(mine, [done(pen.id, 'cut'), done(pen.id, 'drill')])
  expect((await eventsOf(mine, pen.id)).map(event => event.seq)).toEqual([1, 2, 3])
  expect(await lastSeq(theirs)).toBe(before + 1)
  expect(await lastChange(theirs)).toBe(changed)
})

describe('the demo', () => {
  it('is a workshop with fourteen orchard pens, beside an empty one of the turner’s own', async () => {
    const pens = (await pagePens(theirs, 'metric', {})).pens.map(one => one.pen)
    expect(pens).toHaveLength(14)
    const states = await Promise.all(pens.map(async pen => replay(await readPlan(theirs, pen), await eventsOf(theirs, pen.id))))
    expect(states.filter(state => state.finished)).toHaveLength(1)
    expect(states.filter(state => !state.begun).length).toBeGreaterThan(3)
    expect(states.some(state => state.coats.on > 0 && state.coats.on < state.coats.planned)).toBe(true)
    expect(states.flatMap(state => state.log).every(entry => entry.event.at < NOW.toISOString())).toBe(true)
    // Made in one go, they still stand in the order in which they were made.
    expect((await listBlanks(theirs)).map(one => one.name).slice(0, 3)).toEqual([
      'Hawthorn from the hedge', 'Pear by the well', 'Windfall burr in green resin',
    ])
    const { workshops, opens } = await listWorkshops(database.owner())
    expect(workshops.map(one => [one.kind, one.name])).toEqual([['own', 'My workshop'], ['demo', 'Harrow Lane']])
    // It opens until the turner's own has a pen.
    expect(opens).toBe(demo.id)
    await createPen(mine, wanted())
    expect(await opening(database.owner())).toBe(database.workshop())
  })
  it('is set up once by itself, and comes back only when it is asked for', async () => {
    const owner = database.owner()
    await expect(setUpDemo(owner, NOW)).rejects.toThrow(ConflictError)
    await offerDemo(owner, NOW)
    await deleteDemo(owner)
    await deleteDemo(owner)
    await offerDemo(owner, NOW)
    expect((await listWorkshops(owner)).workshops.map(one => one.kind)).toEqual(['own'])
    for (const table of await tables()) expect([table, await owner(table).where({ workshop_id: demo.id })]).toEqual([table, []])
    await expect(withinWorkshop(database.pool(), demo.id)(inWork)).rejects.toThrow(GoneError)
    const again = await setUpDemo(owner, NOW)
    expect(await inWork(database.pool(again.id))).toHaveLength(5)
  })
  it('begun anew it is as at first, under another id; two who do so at once make one', async () => {
    const owner = database.owner()
    const kept = await createPen(mine, wanted({ mark: 'K1' }))
    await createPen(theirs, wanted({ mark: 'Z9' }))
    await Promise.all([resetDemo(owner, NOW), resetDemo(owner, NOW)])
    const { workshops } = await listWorkshops(owner)
    expect(workshops.map(one => one.kind)).toEqual(['own', 'demo'])
    expect(workshops[1]!.id).not.toBe(demo.id)
    const marks = (await pagePens(database.pool(workshops[1]!.id), 'metric', {})).pens.map(one => one.pen.mark)
    expect(marks).toHaveLength(14)
    expect(marks).not.toContain('Z9')
    expect(await readPen(mine, kept.id)).toMatchObject({ mark: 'K1' })
  })
})

it('a workshop has the name it is given', async () => {
  await rename(database.owner(), database.workshop(), 'Shed')
  expect((await listWorkshops(database.owner())).workshops[0]).toMatchObject({ name: 'Shed' })
  await expect(rename(database.owner(), randomUUID(), 'Shed')).rejects.toThrow(NotFoundError)
})

it('the log of a workshop that stands is never deleted', async () => {
  await expect(theirs('events').delete()).rejects.toThrow(/append-only/)
})
