import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { connect } from '../../server/db/connection'
import { migrate } from '../../server/db/migrate'
import { startCluster } from './postgres'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'oxlip-saved-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** Runs a command as somebody at a terminal would, on an Oxlip of its own folder. */
function command(name: 'backup' | 'restore', place: string, ...words: string[]) {
  const { OXLIP_DATABASE_URL: _, ...env } = process.env
  const done = spawnSync(process.execPath, ['--import', 'tsx', `scripts/${name}.ts`, ...words], {
    env: { ...env, OXLIP_FOLDER: join(folder, place), OXLIP_FROM: folder }, encoding: 'utf8', cwd: resolve('.'),
  })
  return { code: done.status, says: `${done.stdout}${done.stderr}` }
}
/** What the workshops of a place are called; or calls one. */
async function workshops(place: string, name?: string): Promise<string[]> {
  const cluster = await startCluster(join(folder, place, 'postgres'), { lasting: true })
  const owner = connect(cluster.url)
  try {
    await migrate(owner)
    if (name) await owner('workshops').update({ name })
    return await owner('workshops').pluck('name')
  } finally {
    await owner.destroy()
    await cluster.stop()
  }
}

it('what is saved by command is put back by command, beside what is there, which stays', async () => {
  expect(command('backup', 'first', 'all.tar')).toEqual({ code: 1, says: expect.stringMatching(/nothing to save yet/) })
  mkdirSync(join(folder, 'first'))
  await workshops('first', 'Old shed')
  expect(command('backup', 'first', 'all.tar'))
    .toEqual({ code: 0, says: expect.stringMatching(/all\.tar: \d+\.\d MB, \d+ rows\. Put back into an empty database, all of it is the same/) })
  expect(command('backup', 'first', 'all.tar')).toEqual({ code: 1, says: expect.stringMatching(/is there already/) })
  // Onto a new machine.
  expect(command('restore', 'second', 'all.tar')).toEqual({ code: 0, says: expect.stringMatching(/^Put back as it was on .* all of it is there/) })
  expect(await workshops('second')).toEqual(['Old shed'])
  // Where there is something it is not touched, unless that is wanted; then it is kept.
  await workshops('second', 'New shed')
  expect(command('restore', 'second', 'all.tar')).toEqual({ code: 1, says: expect.stringMatching(/pens here already, and they stay/) })
  writeFileSync(join(folder, 'bad.tar'), 'not one')
  expect(command('restore', 'second', '--aside', 'bad.tar').says).toMatch(/is no backup of Oxlip, or it is damaged/)
  expect(await workshops('second')).toEqual(['New shed'])
  expect(command('restore', 'second', '--aside', 'all.tar').says).toMatch(/What was here before is in .*postgres-before-\d{14}/)
  expect(await workshops('second')).toEqual(['Old shed'])
  const [kept = ''] = readdirSync(join(folder, 'second')).filter(name => name.startsWith('postgres-before-'))
  expect(existsSync(join(folder, 'second', kept, 'data'))).toBe(true)
  expect(existsSync(join(folder, 'second', 'postgres-restored'))).toBe(false)
}, 180_000)

it('says what is missing: a name, a file', () => {
  expect(command('backup', 'first').says).toMatch(/Say where to/)
  expect(command('restore', 'first').says).toMatch(/Say from where/)
  expect(command('restore', 'first', 'none.tar').says).toMatch(/There is no .*none\.tar/)
}, 60_000)
