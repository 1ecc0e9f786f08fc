import { connect } from '../server/db/connection'
import { projectAll } from '../server/db/projections'
import { main, Plain, say } from './lib/say'

/**
 * Makes anew what is kept ready of every pen, from plans and logs alone: `npm run rebuild`, with OXLIP_DATABASE_URL as `./start` prints
 * it. Lists go on meanwhile with what is there.
 */
await main(async () => {
  const url = process.env.OXLIP_DATABASE_URL
  if (!url) throw new Plain('Set OXLIP_DATABASE_URL to the address of the database, then run this again.')
  const knex = connect(url)
  try {
    await knex('pen_rows').update({ projection: 0 })
    say(`Made anew: ${await projectAll(knex)} pens.`)
  } finally {
    await knex.destroy()
  }
})
