import type { Knex } from 'knex'
import { chmod, mkdtemp, open, rename, rm, stat, writeFile } from 'node:fs/promises'
import { dirname, join, resolve } from 'node:path'
import { BackupError } from './error'
import { PARTS, type Manifest } from './manifest'
import { postgresPrograms } from './programs'
import { connection, run } from './run'
import { tableSums } from './sums'

/** A backup that was made. */
export interface Made {
  /** How large it is, bytes. */
  bytes: number
  /** What it says of itself. */
  manifest: Manifest
}

/**
 * Saves the whole database with its pictures in one file, as it stands at one moment: work goes on meanwhile. The file is there once it is
 * whole, and not before; one of the same name is written over. `owner` is a pool of the tables' owner at `url`.
 * @throws BackupError
 */
export async function makeBackup(owner: Knex, url: string, file: string, now: Date = new Date()): Promise<Made> {
  const programs = postgresPrograms()
  if (!programs) throw new BackupError('PostgreSQL’s programs are missing: install Debian’s postgresql package.')
  const target = resolve(file)
  const folder = await mkdtemp(join(dirname(target), '.oxlip-backup-')).catch((error: Error) => {
    throw new BackupError(`Nothing can be written beside ${target}: ${error.message}`)
  })
  const [dump, manifestFile, whole] = [join(folder, PARTS.dump), join(folder, PARTS.manifest), join(folder, 'whole.tar')]
  try {
    const manifest = await owner.transaction(async (trx): Promise<Manifest> => {
      const { rows: [one] }: { rows: { snapshot: string }[] } = await trx.raw('select pg_export_snapshot() as snapshot')
      const words = ['--format=custom', `--snapshot=${one?.snapshot}`, '--no-owner']
      await run([join(programs, 'pg_dump'), ...words], { to: dump, env: connection(url) })
      const migrations: string[] = await trx('knex_migrations').orderBy('id').pluck('name')
      return { format: 'oxlip-backup', version: 1, made: now.toISOString(), migrations, tables: await tableSums(trx) }
    }, { isolationLevel: 'repeatable read' })
    await writeFile(manifestFile, JSON.stringify(manifest, null, 2), { mode: 0o600 })
    // Nothing in it names the machine or who made it.
    const nobody = ['--owner=0', '--group=0', '--numeric-owner']
    await run(['tar', '--create', '--file', whole, '--directory', folder, ...nobody, PARTS.manifest, PARTS.dump])
    // All that anybody entered is in it.
    await chmod(whole, 0o600)
    await throughToDisk(whole)
    const { size: bytes } = await stat(whole)
    await rename(whole, target)
    return { bytes, manifest }
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

/** Writes a file through to the disk: a backup that a power cut takes away was none. */
async function throughToDisk(file: string): Promise<void> {
  const handle = await open(file, 'r+')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}
