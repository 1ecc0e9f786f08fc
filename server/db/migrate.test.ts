import { createHash, randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import type { NewPen } from '../../schemas'
import { copyPens } from '../../tests/database/many'
import { freshDatabase } from '../../tests/database/fresh'
import { onDatabase } from '../../tests/database/suite'
import { appendEvents } from './append'
import { connect } from './connection'
import { setUpDemo } from './demo'
import { eventsOf } from './log'
import { migrate, NewerDatabaseError, unmigrate } from './migrate'
import { migrationNames, migrationSource } from './migrations'
import { changePen, createPen, readPen, replanPen } from './pens'
import { readPlan, readVersion } from './plans'
import { projectEverywhere } from './projections'
import { pagePens } from './rows'
import { readShelf } from './shelf'

const database = onDatabase()
const wanted = (change: Partial<NewPen> = {}): NewPen => ({
  mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss', ...change,
})
const NOW = new Date('2026-11-23T19:42:00.000Z')
const parts = (pen: string) => ({
  id: randomUUID(), pen, kind: 'done' as const, payload: { step: 'parts' }, barrels: ['only' as const], device: 'tablet',
  at: '2026-11-23T20:00:00.000Z',
})
const down = () => database.owner().migrate.down({ migrationSource })
/** Back to as it was after this migration. */
async function downTo(name: string) {
  for (const _ of migrationNames.slice(migrationNames.indexOf(name) + 1)) await down()
}
const workshops = (kind: string): Promise<string[]> => database.owner()('workshops').where({ kind }).pluck('id')

/** SHA-256 of each migration that was released, as it was; what is wrong with one is mended by a new one. */
const RELEASED: Record<string, string> = {
  '0001-first': '304eefb0e3f8437df71a493c0c64f57ee59f054273cb8f27311c05673d4c04b3',
  '0002-stock': '31f114f1643626e7bc0cc8c6069d1fb551d31b958359a1e5514a9cacfaba3763',
  '0003-abrasives': '7718079a42d8eeefb44ab4cbdcebbfca48cd5408d78b3f9735992ec3f625398c',
  '0004-finishes': 'd3b0924bc268caedbf4c3c1024f8b8bfd672a3aac384f83a9b10244dbaa35038',
  '0005-bench': '731b352742e79064fe093ef5178531d9b2268674ba272f170b339416cbf16b78',
  '0006-changes': 'ee91fcce0df75182f2b135807e20c8221071aac796824753b9d9f97adc2a1795',
  '0007-lifetime': '7a838c574fd6cbe29111f33671c745a233e893e071931546bb047854e96c79ae',
  '0008-workshops': 'b699c86f8b2cb4d7703d2f8acb9c32ec6ae1723af061575012dbee144791c5c6',
  '0009-plan-versions': 'f04da9f37b5980b79bbc7378d4fa7426a4edf0b33b359b8d528d019e18d7fd9b',
  '0010-as-used': '6a7731e533498755f5534b6ff89bc7a8efb623d51b1fd371108e6e69e654e6d4',
  '0011-learnt-anew': 'cd1704fd50ef230a34b1f07cb9819b51ea58703b12494ee613550174cdf973ad',
  '0012-counted-off': '60ebf2e12983ef91a2177408fb5710461edc492c1a931912c5ccfde5928d19a4',
  '0013-boards': 'd492288b358a87077704bfba16783f506fadce08b1ae05a99653c6a971042e0c',
  '0014-evenings': '619491a96e2c4008b0c69c65ace12f1cfca78536e9e64fda9ae37dd7da678a71',
  '0015-told': '0abb803ca240024b0fe9f0087d139e90a2a062b530dd0e969c4ab0b84ee72086',
  '0016-backups': '8c1b5f5d35bcc07f542ebf0dfe9b051faf23709f537ff5abbf0c447b1f38e415',
  '0017-prices': 'bbc394ef4cc2c84ad6586b12c703b3a36ddd4ec162f48ebfc75914e70c76907e',
  '0018-orders': '570e48f3ef176431ac102b4aa555eb496f91fcf949af9e06e65dbb7304c1efe9',
  '0019-supplies': '5aa11221334b5e38836c0d6d6e8b69a9391ba404436623dc8c51d619f8c77b14',
  '0020-intakes': '89bffb31b66cd93dc7478835ff63ee7c92f036bd3de0e3be0945f36a98760a63',
  '0021-own-things': '645db1dbc64c396ac873b6969ec979e058e8c4742102a3b4a69efcd2e2769422',
  '0022-cautions': 'e25b3b28b9a8ee589b8d2537760403bcfc548a45dcb9fa2b8bbe05e5943aeb57',
  '0023-people': '1f137fbd82bc991d0b3b5a34dbaa16e18c1ceb940f79e2eaffafc78823e1fcd9',
  '0024-classes': 'da6554ee748a3f4940d5483bd37e2f44526207889472746811af044c43ef7f2f',
  '0025-links': '7493749fc1382ce785b66a3e06e75026d332c4144e8fc27e7f9ee16db0dc5b2a',
  '0026-who': '8f98f00f5c6af55f828d0361236306bca97d71313b5a1dfba64214cb0af368a7',
  '0027-second': 'd15cf8bd3154ec1ab98b0f4abc7e4fc773a99d6b54e35265653648c3d907aec7',
  '0028-helper': 'a735fe92b403b2d07a8bc3c7017c0bc4850df9fc107c4092ef9421b303f2a1cd',
}

it.each(Object.entries(RELEASED))('the released migration %s is as it was', (name, sum) => {
  expect(migrationNames).toContain(name)
  expect(createHash('sha256').update(readFileSync(`server/db/migrations/${name}.ts`)).digest('hex')).toBe(sum)
})
it('only migrations that are on their way are not among the released ones', () => {
  expect(migrationNames.filter(name => !(name in RELEASED))).toEqual([])
})

it('a database that the first form of 0003 made gets what that lacked, and its shelf is read', async () => {
  const owner = database.owner()
  await unmigrate(owner)
  for (let times = 0; times < 3; times++) await owner.migrate.up({ migrationSource })
  await owner.schema.alterTable('shelf_items', table => table.dropColumns('wet', 'dry'))
  await migrate(owner)
  const [own] = await workshops('own')
  const shelf = await readShelf(database.pool(own))
  expect(shelf.abrasives.every(one => one.wet || one.dry)).toBe(true)
})

it('they go up, down and up again, leaving nothing behind', async () => {
  const owner = database.owner()
  await unmigrate(owner)
  const left: string[] = await owner('pg_tables').where({ schemaname: 'public' }).pluck('tablename')
  expect(left.filter(name => !name.startsWith('knex_'))).toEqual([])
  await migrate(owner)
  expect(await owner('pens')).toEqual([])
})

it('the demo beside a workshop with pens goes down into one and up again with all in it, its rows made again', async () => {
  const owner = database.owner()
  const [own, demo] = [database.knex(), await setUpDemo(owner, NOW)]
  const mine = await createPen(own, wanted())
  await appendEvents(own, [parts(mine.id)])
  await changePen(own, mine.id, { version: 1, film: 'close' })
  const version = await readVersion(own, mine.id, 2)
  const there = database.pool(demo.id)
  const [first, second] = (await there('pens').orderBy('created_at').pluck('id')) as [string, string]
  await copyPens(there, owner, first, 100)
  await there('pens').where({ id: second }).update({ mark: 'A1' })
  const tables = ['pens', 'plans', 'events']
  const all = () => Promise.all(tables.map(async table => (await owner(table).count('* as count').first())!.count))
  const bodies = () =>
    owner('pen_rows').join('pens', 'pens.id', 'pen_id').whereNot('pens.material', 'pear').orderBy('pen_id').select('body')
  const logs = () => owner('events').where({ pen_id: first }).orderBy('seq').select('id', 'at', 'payload')
  const [counts, rows, log] = [await all(), await bodies(), await logs()]
  await downTo('0008-workshops')
  // What was kept as a difference is whole again.
  expect((await owner('plans').where({ pen_id: mine.id, version: 2 }).first('body')).body).toEqual(version)
  await down()
  expect([await all(), await logs()]).toEqual([counts, log])
  expect(await owner('workshop')).toHaveLength(1)
  expect(await owner('events').countDistinct('seq as count').first()).toEqual({ count: counts[2] })
  await down()
  expect(await owner.schema.hasTable('pen_rows')).toBe(false)
  // Of pens with one mark the one that was started last keeps it.
  const marks: string[] = await owner('pens').pluck('mark')
  expect(new Set(marks).size).toBe(marks.length)
  const taken = marks.find(mark => mark !== 'A1')
  await expect(owner('pens').whereNot({ mark: taken }).where({ id: first }).update({ mark: taken })).rejects.toThrow(/pens_mark_unique/)
  await migrate(owner)
  expect([await all(), await logs()]).toEqual([counts, log])
  expect(await owner('pen_rows').first()).toBeUndefined()
  const [kept] = await workshops('own')
  expect(await workshops('demo')).toEqual([])
  expect(await projectEverywhere(owner, database.pool())).toBe(115)
  expect(await bodies()).toEqual(rows)
  const now = database.pool(kept)
  expect(await eventsOf(now, mine.id)).toHaveLength(1)
  await createPen(now, wanted({ mark: 'Z1' }))
})

it('what an earlier Oxlip had in one becomes the turner’s own; demo pens that nobody touched go with a copy of the shelf', async () => {
  const owner = database.owner()
  await setUpDemo(owner, NOW)
  await createPen(database.knex(), wanted({ mark: 'Z1', name: 'Mine' }))
  await downTo('0007-lifetime')
  // As the earlier one called the demo’s entries.
  await owner.raw('alter table events disable trigger events_append_only')
  await owner('events').update({ device: 'demo' })
  await owner.raw('alter table events enable trigger events_append_only')
  const touched = (await owner('pens').where({ mark: 'A3' }).first('id')).id as string
  await owner('events').insert({
    id: randomUUID(), pen_id: touched, kind: 'done', barrels: ['only'], at: NOW, device: 'tablet', payload: '{"step":"x"}',
  })
  const shelf = (await owner('shelf_items').count('* as count').first())!.count
  await migrate(owner)
  await projectEverywhere(owner, database.pool())
  const [[mine], [demo]] = [await workshops('own'), await workshops('demo')]
  const marks = async (workshop = '') =>
    (await pagePens(database.pool(workshop), 'metric', { sort: 'marks' })).pens.map(one => one.pen.mark)
  expect(await marks(mine)).toEqual(['A3', 'Z1'])
  expect(await marks(demo)).toEqual(['A1', 'A2', 'A4', 'B1', 'B2', 'B3', 'B4', 'C1', 'C2', 'C3', 'C4', 'D1', 'D2'])
  for (const [workshop, mark] of [[mine, 'A3'], [demo, 'B2']]) {
    const room = database.pool(workshop)
    expect((await room('shelf_items').count('* as count').first())!.count).toBe(shelf)
    const { id } = await room('pens').where({ mark }).first('id')
    const { version } = await readPen(room, id)
    const again = await replanPen(room, id, version)
    expect((await readPlan(room, again)).inputs.shelf.products).toEqual((await readShelf(room)).products)
  }
  // It is not set up a second time.
  expect(await owner('installation').first('demo_offered')).toEqual({ demo_offered: true })
})

it('they run once when several servers start at the same time', async () => {
  const owner = database.owner()
  await unmigrate(owner)
  await Promise.all([migrate(owner), migrate(owner), migrate(owner)])
  expect(await owner('knex_migrations').pluck('name')).toEqual([...migrationNames])
})

it('a user who may not make roles is told what to do; one who may needs no other rights', async () => {
  const base = await freshDatabase()
  const name = `plain_${randomUUID().slice(0, 8)}`
  await base.knex.raw('create role ?? login password \'plain\'', [name])
  await base.knex.raw('alter database ?? owner to ??', [new URL(base.url).pathname.slice(1), name])
  await base.knex.raw('alter schema public owner to ??', [name])
  const owner = connect(base.url.replace(/\/\/[^@]+@/, `//${name}:plain@`))
  const told = jest.spyOn(console, 'log').mockImplementation(() => {})
  await expect(migrate(owner)).rejects.toThrow(`its user may not make roles. Let it do so this once: alter role "${name}" createrole`)
  told.mockRestore()
  await base.knex.raw('alter role ?? createrole', [name])
  await migrate(owner)
  const { id } = await setUpDemo(owner, NOW)
  const walled = connect(base.url.replace(/\/\/[^@]+@/, `//${name}:plain@`), { walled: true, workshop: id })
  expect(await walled('pens')).toHaveLength(14)
  await Promise.all([owner.destroy(), walled.destroy()])
  await base.knex.raw('reassign owned by ?? to current_user', [name])
  await base.knex.raw('drop owned by ??', [name])
  await base.knex.raw('drop role ??', [name])
  await base.drop()
})

it('they go on after a migrator that was killed left its lock', async () => {
  await database.owner()('knex_migrations_lock').update({ is_locked: 1 })
  await expect(migrate(database.owner())).resolves.toBeUndefined()
})

it('they refuse a database that a newer Oxlip made', async () => {
  const owner = database.owner()
  await owner('knex_migrations').insert({ name: '9999-later', batch: 2, migration_time: new Date() })
  await expect(migrate(owner)).rejects.toThrow(NewerDatabaseError)
  await expect(migrate(owner)).rejects.toThrow(/9999-later/)
  await owner('knex_migrations').where({ name: '9999-later' }).delete()
})
