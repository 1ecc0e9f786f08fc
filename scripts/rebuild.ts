import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { must } from '../core/sure'
import { connect } from '../server/db/connection'
import { migrate } from '../server/db/migrate'
import { projectEverywhere } from '../server/db/projections'
import { startCluster } from './lib/postgres'
import { main, Plain, say } from './lib/say'

const FOLDER = resolve('.oxlip')

/**
 * Makes anew what is kept ready of every pen, from plans and logs alone: `npm run rebuild`. On the database of this folder, or the one
 * that OXLIP_DATABASE_URL names; there lists go on meanwhile with what is there.
 */
await main(async () => {
  const given = process.env.OXLIP_DATABASE_URL
  if (!given && existsSync(resolve(FOLDER, 'running.json')))
    throw new Plain('Oxlip is running from this folder: end it with Ctrl-C, then run this again.')
  const cluster = given ? undefined : await startCluster(resolve(FOLDER, 'postgres'), { lasting: true })
  const url = must(cluster?.url ?? given, 'a cluster is started where no database is given')
  const [owner, walled] = [connect(url), connect(url, { walled: true })]
  try {
    await migrate(owner)
    await owner('pen_rows').update({ projection: 0 })
    say(`Made anew: ${await projectEverywhere(owner, walled)} pens.`)
  } finally {
    await Promise.all([owner.destroy(), walled.destroy()])
    await cluster?.stop()
  }
})
