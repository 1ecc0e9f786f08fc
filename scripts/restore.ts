import { existsSync, mkdirSync, renameSync, rmSync } from 'node:fs'
import { relative, resolve } from 'node:path'
import { readManifest, restoreBackup } from '../server/backup/restore'
import { fromThere, runningFrom } from './lib/database'
import { startCluster } from './lib/postgres'
import { asPlain, main, Plain, say } from './lib/say'

const FOLDER = resolve(process.env.OXLIP_FOLDER ?? '.oxlip')
const [PLACE, FRESH] = [resolve(FOLDER, 'postgres'), resolve(FOLDER, 'postgres-restored')]

/**
 * Puts a backup back, `./restore FILE`: into a place where Oxlip has nothing yet, or with `--aside` beside what is there, which is kept
 * under another name. All of it or nothing.
 */
await main(async () => {
  const words = process.argv.slice(2)
  const [aside, name] = [words.includes('--aside'), words.find(word => word !== '--aside')]
  if (!name) throw new Plain('Say from where:  ./restore FILE')
  const file = fromThere(name)
  if (!existsSync(file)) throw new Plain(`There is no ${file}.`)
  if (process.env.OXLIP_DATABASE_URL) throw new Plain('This puts a backup into Oxlip’s own database: unset OXLIP_DATABASE_URL first.')
  if (await runningFrom(FOLDER)) throw new Plain('Oxlip is running from this folder: end it with Ctrl-C, then run this again.')
  const { made } = await asPlain(() => readManifest(file))
  const isThere = existsSync(resolve(PLACE, 'data'))
  if (isThere && !aside) {
    throw new Plain('There are pens here already, and they stay. To put the backup in their place and keep them under another name:\n'
      + `  ./restore --aside ${name}`)
  }
  mkdirSync(FOLDER, { recursive: true })
  rmSync(FRESH, { recursive: true, force: true })
  const cluster = await startCluster(FRESH, { lasting: true })
  try {
    await asPlain(() => restoreBackup(file, cluster.url))
  } catch (error) {
    await cluster.stop()
    rmSync(FRESH, { recursive: true, force: true })
    throw error
  }
  await cluster.stop()
  const kept = `${PLACE}-before-${new Date().toISOString().slice(0, 19).replace(/\D/g, '')}`
  if (isThere) renameSync(PLACE, kept)
  renameSync(FRESH, PLACE)
  say(`Put back as it was on ${made.slice(0, 16).replace('T', ' at ')} (UTC), and compared: all of it is there. Start Oxlip with ./start.`)
  if (isThere) say(`What was here before is in ${relative('.', kept)}.`)
})
