import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { makeBackup } from '../server/backup/make'
import { restoreBackup } from '../server/backup/restore'
import { noteBackup } from '../server/db/backups'
import { connect } from '../server/db/connection'
import { borrowDatabase, fromThere } from './lib/database'
import { startCluster } from './lib/postgres'
import { asPlain, main, Plain, say } from './lib/say'

const FOLDER = resolve(process.env.OXLIP_FOLDER ?? '.oxlip')

/**
 * Saves everything in one file, `./backup FILE`: while Oxlip runs, or when it does not. It is put back into an empty database of its own
 * and compared before it counts.
 */
await main(async () => {
  const name = process.argv[2]
  if (!name) throw new Plain('Say where to:  ./backup FILE')
  const file = fromThere(name)
  if (existsSync(file)) throw new Plain(`${file} is there already. Choose another name, or take it away first.`)
  if (!process.env.OXLIP_DATABASE_URL && !existsSync(resolve(FOLDER, 'postgres/data')))
    throw new Plain('There is nothing to save yet: Oxlip was not started here.')
  const { url, giveBack } = await borrowDatabase(FOLDER)
  const owner = connect(url)
  try {
    // What waits for a newer form is saved in its own.
    if (!(await owner.schema.hasTable('knex_migrations'))) throw new Plain('There is nothing to save yet: nothing was ever kept here.')
    const { bytes, manifest } = await asPlain(() => makeBackup(owner, url, file))
    try {
      await proved(file)
    } catch (error) {
      rmSync(file, { force: true })
      throw error
    }
    if (await owner.schema.hasTable('backups')) await noteBackup(owner, { made: manifest.made, bytes, how: 'command' })
    const rows = Object.values(manifest.tables).reduce((sum, one) => sum + one.rows, 0)
    say(`Saved in ${file}: ${(bytes / 1e6).toFixed(1)} MB, ${rows} rows. Put back into an empty database, all of it is the same.`)
  } finally {
    await owner.destroy()
    await giveBack()
  }
})

/** Puts a backup back into a throw-away database. */
async function proved(file: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'oxlip-proof-'))
  const cluster = await startCluster(join(folder, 'postgres'), { lasting: false })
  try {
    await asPlain(() => restoreBackup(file, cluster.url))
  } finally {
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}
