import knex, { type Knex } from 'knex'

let [walled, owner]: (Knex | undefined)[] = []

/** How a pool is opened. */
interface Opening {
  /** Behind the wall: it sees and writes nothing but the rows of the workshop that a transaction has entered. */
  walled?: boolean
  /** Every transaction begins in this workshop; for tests of what is within one. */
  workshop?: string
}

/** A connection pool for a PostgreSQL address. */
export function connect(url: string, { walled = false, workshop }: Opening = {}): Knex {
  const first = [
    ...(walled ? ['set role oxlip_walled'] : []),
    ...(workshop ? [`select set_config('oxlip.workshop', '${workshop}', false)`] : []),
  ].join('; ')
  const afterCreate = (client: { query: (sql: string, done: (error: unknown) => void) => void }, done: (...told: unknown[]) => void) =>
    client.query(first, error => done(error, client))
  return knex({
    client: 'pg',
    connection: { connectionString: url, application_name: 'oxlip' },
    pool: { min: 0, max: 10, ...(first ? { afterCreate } : {}) },
    acquireConnectionTimeout: 10_000,
  })
}

/** Where the database is. @throws Error when none is named */
export function address(): string {
  const url = process.env.OXLIP_DATABASE_URL
  if (!url) throw new Error('No database: set OXLIP_DATABASE_URL to a PostgreSQL address, or start Oxlip with ./start.')
  return url
}

/** The application's own pool, opened at first use, for all that is asked and kept within a workshop. */
export const db = (): Knex => (walled ??= connect(address(), { walled: true }))

/** The pool of the owner of the tables, before whom there is no wall: for migrations, and to set up and take away whole workshops. */
export const ownerDb = (): Knex => (owner ??= connect(address()))

export async function disconnect(): Promise<void> {
  await Promise.all([walled?.destroy(), owner?.destroy()])
  walled = owner = undefined
}
