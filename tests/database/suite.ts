import type { Knex } from 'knex'
import { connect } from '../../server/db/connection'
import { fillShelf } from '../../server/db/shelf'
import { freshDatabase, MIGRATED } from './fresh'

/** A migrated database with a workshop. */
export interface Database {
  /** A pool behind the wall whose every transaction begins in the workshop. */
  knex: () => Knex
  /** The pool of the tables’ owner. */
  owner: () => Knex
  /** The workshop’s id. */
  workshop: () => string
  /** The same in another workshop. */
  pool: (workshop?: string) => Knex
}

/** Gives every test of a file an empty, migrated database with the usual things on the shelf; call it once at the top. */
export function onDatabase(): (() => Knex) & Database {
  let base: Awaited<ReturnType<typeof freshDatabase>>
  let [own, pools]: [string, Knex[]] = ['', []]
  const pool = (workshop?: string) => {
    const opened = connect(base.url, { walled: true, ...(workshop ? { workshop } : {}) })
    pools.push(opened)
    return opened
  }
  beforeEach(async () => {
    base = await freshDatabase(MIGRATED)
    own = (await base.knex('workshops').first('id')).id
    await fillShelf(pool(own))
  })
  afterEach(async () => {
    await Promise.all(pools.map(one => one.destroy()))
    pools = []
    await base.drop()
  })
  const knex = () => pools[0]!
  return Object.assign(() => knex(), { knex, owner: () => base.knex, workshop: () => own, pool })
}
