import type { Knex } from 'knex'
import { migrate, unmigrate } from '../../server/db/migrate'
import { fillShelf } from '../../server/db/shelf'
import { freshDatabase } from './fresh'

/** Gives every test of a file an empty, migrated database with the usual things on the shelf; call it once at the top. */
export function onDatabase(): () => Knex {
  let base: Awaited<ReturnType<typeof freshDatabase>>
  beforeAll(async () => {
    base = await freshDatabase()
  })
  afterAll(() => base.drop())
  beforeEach(async () => {
    await migrate(base.knex)
    await fillShelf(base.knex)
  })
  afterEach(() => unmigrate(base.knex))
  return () => base.knex
}
