import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { connect } from '../db/connection'
import { migrationNames } from '../db/migrations'
import { BackupError } from './error'
import { manifestSchema, PARTS, type Manifest } from './manifest'
import { postgresPrograms } from './programs'
import { connection, run } from './run'
import { differing, tableSums } from './sums'

/** What a backup says of itself. @throws BackupError for a file that is none, is damaged, or was made by a newer Oxlip */
export async function readManifest(file: string): Promise<Manifest> {
  const text = await run(['tar', '--extract', '--to-stdout', '--file', resolve(file), PARTS.manifest]).catch(() => {
    throw new BackupError(`${file} is no backup of Oxlip, or it is damaged.`)
  })
  let told: unknown
  try {
    told = JSON.parse(text)
  } catch {
    throw new BackupError(`${file} is damaged: what it says of itself cannot be read.`)
  }
  if (!manifestSchema.isValidSync(told)) throw new BackupError(`${file} is no backup that this Oxlip can read.`)
  const manifest = told as Manifest
  const newer = manifest.migrations.filter(name => !migrationNames.includes(name))
  if (newer.length) throw new BackupError(`${file} was made by a newer Oxlip. Put it back with that one.`)
  return manifest
}

/**
 * Puts a backup into the empty database at `url`, all of it or nothing, and compares what is there then with what was saved.
 * @throws BackupError
 */
export async function restoreBackup(file: string, url: string): Promise<Manifest> {
  const manifest = await readManifest(file)
  const programs = postgresPrograms()
  if (!programs) throw new BackupError('PostgreSQL’s programs are missing: install Debian’s postgresql package.')
  const folder = await mkdtemp(join(tmpdir(), 'oxlip-restore-'))
  const owner = connect(url)
  try {
    const there: string[] = await owner('pg_tables').where({ schemaname: 'public' }).pluck('tablename')
    if (there.length) throw new BackupError('There is something in this database already: a backup is put into an empty one.')
    const dump = join(folder, PARTS.dump)
    await run(['tar', '--extract', '--to-stdout', '--file', resolve(file), PARTS.dump], { to: dump })
    await owner.raw(`
      do $$ begin
        create role oxlip_walled nologin;
      exception when duplicate_object or unique_violation then null;
      end $$`)
    await owner.raw('grant oxlip_walled to current_user')
    const env = connection(url)
    await run([join(programs, 'pg_restore'), '--single-transaction', '--no-owner', '--dbname', env.PGDATABASE ?? '', dump], { env })
    const found = await owner.transaction(trx => tableSums(trx), { isolationLevel: 'repeatable read' })
    const others = differing(manifest.tables, found)
    if (others.length) throw new BackupError(`What was put back is not what was saved, in: ${others.join(', ')}.`)
    return manifest
  } catch (error) {
    if (error instanceof BackupError) throw new BackupError(`${file} could not be put back. ${error.message}`)
    throw error
  } finally {
    await owner.destroy()
    await rm(folder, { recursive: true, force: true })
  }
}
