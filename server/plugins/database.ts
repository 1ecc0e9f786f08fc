import { db, disconnect } from '../db/connection'
import { loadDemo } from '../db/demo'
import { migrate } from '../db/migrate'
import { deafen } from '../live/listen'

/** Brings the database up to date before the first request is answered; stops the server with a clear word when that fails. */
export default defineNitroPlugin((nitro) => {
  const demo = process.env.OXLIP_DEMO === '1'
  const ready = prepare(demo).catch((error: Error) => {
    console.error(`Oxlip cannot use its database: ${error.message}`)
    process.exit(1)
  })
  nitro.hooks.hook('request', async () => {
    await ready
  })
  nitro.hooks.hook('close', async () => {
    await deafen()
    await disconnect()
  })
})

async function prepare(demo: boolean): Promise<void> {
  await migrate(db(), async (knex) => {
    if (demo) await loadDemo(knex, new Date())
  })
}
