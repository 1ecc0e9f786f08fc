import { mkdir } from 'node:fs/promises'
import { join } from 'node:path'
import { makeBackup, type Made } from '../backup/make'
import { noteBackup } from '../db/backups'
import { address, db, disconnect, ownerDb } from '../db/connection'
import { offerDemo } from '../db/demo'
import { migrate } from '../db/migrate'
import { projectEverywhere } from '../db/projections'
import { isAway } from '../faults'
import { deafen } from '../live/listen'

/** Between two batches of rows that are made anew, ms: whoever asks for something goes first. */
const PAUSE = 50
/** A database that is away is asked again after this long, ms. */
const AGAIN_AFTER = 500

/**
 * Brings the database up to date before the first request is answered; stops the server with a clear word when that fails. Rows that an
 * earlier Oxlip made are made anew behind that.
 */
export default defineNitroPlugin((nitro) => {
  const demo = process.env.OXLIP_DEMO === '1'
  const ready = whenThere(() => prepare(demo)).catch((error: Error) => {
    console.error(`Oxlip cannot use its database: ${error.message}`)
    process.exit(1)
  })
  let ends = false
  void ready
    .then(() => projectEverywhere(ownerDb(), db(), PAUSE, () => !ends))
    .catch((error: Error) => console.error('What is kept ready of pens could not all be made anew:', error.message))
  nitro.hooks.hook('request', async () => {
    await ready
  })
  nitro.hooks.hook('close', async () => {
    ends = true
    await deafen()
    await disconnect()
  })
})

/** Does something as soon as the database is there: it may come later than the server, or again after it. */
async function whenThere(work: () => Promise<void>): Promise<void> {
  for (let told = false; ; told = true) {
    try {
      return await work()
    } catch (error) {
      if (!isAway(error)) throw error
      if (!told) console.error(`Oxlip waits for its database: ${(error as Error).message}`)
      await new Promise(resolve => setTimeout(resolve, AGAIN_AFTER))
    }
  }
}

async function prepare(demo: boolean): Promise<void> {
  let saved: Made | undefined
  await migrate(ownerDb(), {
    before: async (coming) => {
      saved = await saveBefore(coming)
    },
    after: async (owner) => {
      if (saved) await noteBackup(owner, { made: saved.manifest.made, bytes: saved.bytes, how: 'before a change' })
      if (demo) await offerDemo(owner, new Date())
    },
  })
}

/** Before its form is changed the database is saved, and that is kept: whatever goes wrong then, nothing is lost. */
async function saveBefore(coming: readonly string[]): Promise<Made | undefined> {
  const folder = process.env.OXLIP_BACKUPS
  if (!folder) return undefined
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const file = join(folder, `before-${coming[0]}-${new Date().toISOString().slice(0, 10)}.tar`)
  const made = await makeBackup(ownerDb(), address(), file)
  console.log(`The database is brought to a newer form; as it was it is kept in ${file}`)
  return made
}
