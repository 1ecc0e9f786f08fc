import { randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import { connect } from '../../server/db/connection'

/** A database of its own for one test file, empty, on the cluster of the run. */
export async function freshDatabase(): Promise<{ knex: Knex, url: string, drop: () => Promise<void> }> {
  const server = process.env.OXLIP_TEST_DATABASE!
  const name = `test_${randomBytes(6).toString('hex')}`
  const admin = connect(server)
  await admin.raw('create database ??', [name])
  const url = server.replace(/\/oxlip$/, `/${name}`)
  const knex = connect(url)
  const drop = async () => {
    await knex.destroy()
    await admin.raw('drop database ?? with (force)', [name])
    await admin.destroy()
  }
  return { knex, url, drop }
}
