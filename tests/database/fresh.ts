import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import { connect } from '../../server/db/connection'

/** The database that those of tests are copies of: migrated once for the run. */
export const MIGRATED = 'oxlip_migrated'

/** A database of its own on the cluster of the run: empty, or a copy of another. */
export async function freshDatabase(template = 'template1'): Promise<{ knex: Knex, url: string, drop: () => Promise<void> }> {
  const server = process.env.OXLIP_TEST_DATABASE!
  const name = `test_${randomBytes(6).toString('hex')}`
  const admin = connect(server)
  await admin.raw('create database ?? template ??', [name, template])
  const url = server.replace(/\/oxlip$/, `/${name}`)
  const knex = connect(url)
  const drop = async () => {
    await knex.destroy()
    await admin.raw('drop database ?? with (force)', [name])
    await admin.destroy()
  }
  return { knex, url, drop }
}
