import { randomUUID } from 'node:crypto'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, readdirSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freshDatabase } from '../../tests/database/fresh'
import { onDatabase } from '../../tests/database/suite'
import { appendEvents } from '../db/append'
import { noteBackup, readBackups } from '../db/backups'
import { connect } from '../db/connection'
import { setUpDemo } from '../db/demo'
import { migrate } from '../db/migrate'
import { migrationNames } from '../db/migrations'
import { createPen } from '../db/pens'
import { readPlan } from '../db/plans'
import { makeBackup } from './make'
import { PARTS } from './manifest'
import { restoreBackup } from './restore'
import { differing, tableSums } from './sums'

const database = onDatabase()
const NOW = new Date('2026-11-23T20:00:00.000Z')
let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'oxlip-backup-test-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))
const at = (name: string) => join(folder, name)
const url = () => database.owner().client.config.connection.connectionString as string
const save = (name = 'whole.tar') => makeBackup(database.owner(), url(), at(name), NOW)

/** Does something with an empty database, and answers the tables that are in it afterwards. */
async function inEmpty(work: (url: string) => Promise<unknown>): Promise<string[]> {
  const base = await freshDatabase()
  try {
    await work(base.url)
    return await base.knex('pg_tables').where({ schemaname: 'public' }).pluck('tablename')
  } finally {
    await base.drop()
  }
}
const wanted = {
  mark: 'A1', name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-thin-first', tool: 'skew',
  film: 'gloss',
} as const
const entry = (pen: string, step: string) => ({
  id: randomUUID(), pen, kind: 'done', payload: { step }, barrels: ['only'], device: 'bench', at: new Date().toISOString(),
}) as never

it('all that is kept comes back the same, pictures and the demo among it, and works on: pens are read, entries go on', async () => {
  const demo = await setUpDemo(database.owner(), NOW)
  const picture = Buffer.from([0, 255, 1, 254, 10, 13, 92, 39])
  await database.pool(demo.id)('photos').insert({ id: randomUUID(), width: 1, height: 1, large: picture, small: picture })
  const pen = await createPen(database.knex(), wanted)
  const { bytes, manifest } = await save()
  expect(readFileSync(at('whole.tar'))).toHaveLength(bytes)
  expect(readdirSync(folder)).toEqual(['whole.tar'])
  expect(manifest.tables.pens!.rows).toBeGreaterThan(10)
  await inEmpty(async (there) => {
    expect(await restoreBackup(at('whole.tar'), there)).toEqual(manifest)
    const [owner, mine] = [connect(there), connect(there, { walled: true, workshop: database.workshop() })]
    try {
      expect(differing(await database.owner().transaction(tableSums), await owner.transaction(tableSums))).toEqual([])
      expect((await owner('photos').first('large')).large).toEqual(picture)
      // The wall stands there too, and the log goes on.
      expect(await mine('pens').pluck('id')).toEqual([pen.id])
      const { steps } = await readPlan(mine, pen)
      await appendEvents(mine, [entry(pen.id, steps[0]!.id)])
      expect(await mine('pen_rows').where({ pen_id: pen.id }).first('stage')).toEqual({ stage: 'in work' })
      await migrate(owner)
    } finally {
      await Promise.all([owner.destroy(), mine.destroy()])
    }
  })
})

it('it is of one moment, however much comes in while it is made', async () => {
  const pen = await createPen(database.knex(), wanted)
  const { steps } = await readPlan(database.knex(), pen)
  let ends = false
  let entered = 0
  const working = (async () => {
    while (!ends) await appendEvents(database.knex(), [entry(pen.id, steps[entered++ % steps.length]!.id)])
  })()
  while (entered < 3) await new Promise(resolve => setImmediate(resolve))
  const { manifest } = await save()
  ends = true
  await working
  const after = await database.owner().transaction(tableSums)
  expect(after.events!.rows).toBeGreaterThan(manifest.tables.events!.rows)
  // What was counted at that moment is what was saved at it.
  await inEmpty(there => restoreBackup(at('whole.tar'), there))
})

it('a file that is cut off, of something else, or of a newer Oxlip is refused in words, and nothing is written', async () => {
  await createPen(database.knex(), wanted)
  const { bytes } = await save()
  const refused = async (name: string, says: RegExp) =>
    expect(await inEmpty(there => expect(restoreBackup(at(name), there)).rejects.toThrow(says))).toEqual([])
  // A tar file ends with up to 10 kB of nothing.
  for (const left of [0, 0.02 * bytes, 0.5 * bytes, bytes - 11_000]) {
    writeFileSync(at('cut.tar'), readFileSync(at('whole.tar')))
    truncateSync(at('cut.tar'), Math.floor(left))
    await refused('cut.tar', /could not be put back|damaged|no backup/)
  }
  writeFileSync(at('words.tar'), 'Dear shelf, one apple is missing.')
  await refused('words.tar', /is no backup of Oxlip, or it is damaged/)
  execFileSync('tar', ['-xf', at('whole.tar'), '-C', folder])
  const told = JSON.parse(readFileSync(at(PARTS.manifest), 'utf8')) as { migrations: string[] }
  const packed = (name: string, change: object) => {
    writeFileSync(at(PARTS.manifest), JSON.stringify({ ...told, ...change }))
    execFileSync('tar', ['-cf', at(name), '-C', folder, PARTS.manifest, PARTS.dump])
  }
  packed('newer.tar', { migrations: [...told.migrations, '9999-later'] })
  await refused('newer.tar', /made by a newer Oxlip/)
  packed('other.tar', { format: 'something else' })
  await refused('other.tar', /no backup that this Oxlip can read/)
  // What does not hold what it says is noticed when it is compared.
  packed('less.tar', { tables: { ...(told as never as { tables: object }).tables, pens: { rows: 2, sum: '1' } } })
  await inEmpty(there => expect(restoreBackup(at('less.tar'), there)).rejects.toThrow(/not what was saved, in: pens/))
})

it('tables differ by how many rows they hold, by what stands in them, and where one is missing', () => {
  const one = { pens: { rows: 2, sum: '7' }, plans: { rows: 1, sum: '3' } }
  expect(differing(one, { ...one })).toEqual([])
  expect(differing(one, { ...one, pens: { rows: 2, sum: '8' } })).toEqual(['pens'])
  expect(differing(one, { ...one, plans: { rows: 2, sum: '3' } })).toEqual(['plans'])
  expect(differing(one, { pens: one.pens })).toEqual(['plans'])
})

it('a database in which there is something is left as it is', async () => {
  await save()
  await expect(restoreBackup(at('whole.tar'), url())).rejects.toThrow(/put into an empty one/)
  expect(await database.owner()('knex_migrations').pluck('name')).toEqual([...migrationNames])
})

it('nothing in it names the machine, its user or a path, and only its owner reads it', async () => {
  await save()
  const listed = execFileSync('tar', ['-tvf', at('whole.tar'), '--numeric-owner'], { encoding: 'utf8' })
  expect(listed.trim().split('\n').map(line => line.split(/\s+/)[1])).toEqual(['0/0', '0/0'])
  expect(execFileSync('tar', ['-xOf', at('whole.tar'), PARTS.manifest], { encoding: 'utf8' })).not.toContain(folder)
  expect(listed).not.toMatch(/r.....r/)
  expect(statSync(at('whole.tar')).mode & 0o077).toBe(0)
})

it('a place that cannot be written to is told', async () => {
  await expect(makeBackup(database.owner(), url(), '/proc/nowhere/whole.tar')).rejects.toThrow(/Nothing can be written beside/)
})

it('before its form is changed a database with something in it is saved, and at no other time', async () => {
  const owner = database.owner()
  const before = jest.fn(async () => undefined)
  await migrate(owner, { before })
  expect(before).not.toHaveBeenCalled()
  await owner.migrate.down({ migrationSource: (await import('../db/migrations')).migrationSource })
  await migrate(owner, { before })
  expect(before.mock.calls).toEqual([[[migrationNames.at(-1)]]])
  await inEmpty(async (there) => {
    const empty = connect(there)
    await migrate(empty, { before }).finally(() => empty.destroy())
  })
  expect(before).toHaveBeenCalledTimes(1)
})

it('it is time again once the last is old and much came in since; the demo is missed by nobody', async () => {
  const owner = database.owner()
  await setUpDemo(owner, NOW)
  const due = async (days = 0) => (await readBackups(owner, new Date(Date.now() + days * 86_400_000))).isDue
  expect(await readBackups(owner)).toEqual({ last: null, isDue: false })
  const pen = await createPen(database.knex(), wanted)
  const { steps } = await readPlan(database.knex(), pen)
  const enter = (count: number) => appendEvents(database.knex(), Array.from({ length: count }, () => entry(pen.id, steps[0]!.id)))
  await enter(29)
  expect(await due()).toBe(false)
  await enter(1)
  expect(await due()).toBe(true)
  const made = new Date().toISOString()
  await noteBackup(owner, { made, bytes: 1200, how: 'screen' })
  expect(await readBackups(owner)).toEqual({ last: { made, bytes: 1200, how: 'screen' }, isDue: false })
  // Three weeks later nothing was entered: nothing is missing. With thirty entries more it is.
  expect(await due(21)).toBe(false)
  await enter(30)
  expect([await due(21), await due(13)]).toEqual([true, false])
})
