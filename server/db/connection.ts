import knex, { type Knex } from 'knex'

let shared: Knex | undefined

/** A connection pool for a PostgreSQL address. */
export function connect(url: string): Knex {
  return knex({
    client: 'pg',
    connection: { connectionString: url, application_name: 'oxlip' },
    pool: { min: 0, max: 10 },
    acquireConnectionTimeout: 10_000,
  })
}

/** The application's own pool, opened at first use. @throws Error when no database is named */
export function db(): Knex {
  const url = process.env.OXLIP_DATABASE_URL
  if (!url) throw new Error('No database: set OXLIP_DATABASE_URL to a PostgreSQL address, or start Oxlip with ./start.')
  return (shared ??= connect(url))
}

export async function disconnect(): Promise<void> {
  await shared?.destroy()
  shared = undefined
}
