import type { Knex } from 'knex'
import { migrationNames, migrationSource } from './migrations'

/** The database was made by a newer Oxlip than this one. */
export class NewerDatabaseError extends Error {
  override readonly name = 'NewerDatabaseError'
}

/** Any number, the same for every Oxlip: only one of several servers on a database migrates at a time. */
const MIGRATION_LOCK = 7_265_301

/**
 * Brings the database up to this code. `before` runs when there is something in it whose form is going to be changed, by the migrations
 * that are still to come; `after` while still alone with it.
 * @throws NewerDatabaseError when the database knows migrations that this code does not
 */
export async function migrate(knex: Knex, { before, after }: Around = {}): Promise<void> {
  await knex.transaction(async (lock) => {
    await lock.raw('select pg_advisory_xact_lock(?)', [MIGRATION_LOCK])
    await refuseNewer(knex)
    // A migrator that was killed leaves Knex's own lock behind. We hold the real one, so nobody else can own it.
    await knex.migrate.forceFreeMigrationsLock({ migrationSource })
    const coming = before ? await comingMigrations(knex) : []
    if (coming.length) await before?.(coming)
    await knex.migrate.latest({ migrationSource })
    await after?.(knex)
  })
}

/** What is done around a change of the form. */
interface Around {
  before?: (coming: readonly string[]) => Promise<void>
  after?: (knex: Knex) => Promise<void>
}

/** The migrations that a database still lacks; none for one in which there is nothing yet. */
async function comingMigrations(knex: Knex): Promise<string[]> {
  if (!(await knex.schema.hasTable('knex_migrations'))) return []
  const done = new Set<string>(await knex('knex_migrations').pluck('name'))
  return done.size ? migrationNames.filter(name => !done.has(name)) : []
}

/** Takes all migrations back. */
export async function unmigrate(knex: Knex): Promise<void> {
  await knex.migrate.rollback({ migrationSource }, true)
}

async function refuseNewer(knex: Knex): Promise<void> {
  if (!(await knex.schema.hasTable('knex_migrations'))) return
  const known = new Set(migrationNames)
  const names: string[] = await knex('knex_migrations').pluck('name')
  const newer = names.filter(name => !known.has(name))
  if (newer.length) {
    throw new NewerDatabaseError(
      `This database was made by a newer Oxlip (it has ${newer.join(', ')}). Start the newer Oxlip, or use another database.`,
    )
  }
}
