import { must } from '../core/sure'
import { mkdirSync, rmSync, writeFileSync } from 'node:fs'
import { relative, resolve } from 'node:path'
import { buildIfNeeded } from './lib/build'
import type { Running } from './lib/child'
import { runningFrom } from './lib/database'
import { refuseFullDisk } from './lib/disk'
import { keepRunning, type Kept } from './lib/keep'
import { freePort, servePort } from './lib/ports'
import { startCluster } from './lib/postgres'
import { main, say } from './lib/say'
import { networkWish, networkWords } from './lib/network'
import { serve } from './lib/serve'

/** Where it keeps what it needs. */
const FOLDER = resolve(process.env.OXLIP_FOLDER ?? '.oxlip')
const MARKER = resolve(FOLDER, 'running.json')

await main(async () => {
  mkdirSync(FOLDER, { recursive: true })
  const there = await runningFrom(FOLDER)
  if (there) return say(`Oxlip is running from this folder already: ${there.address}`)
  await refuseFullDisk(FOLDER, 100, 'the database')
  const port = await servePort(process.env.PORT)
  const isShared = process.argv.includes('--network') || process.env.OXLIP_NETWORK === '1'
  const network = isShared ? await networkWish(resolve(FOLDER, 'network')) : undefined
  await buildIfNeeded()

  const given = process.env.OXLIP_DATABASE_URL
  const databasePort = await freePort()
  const database = given ? undefined : await keepRunning('PostgreSQL', () => startDatabase(databasePort))
  const databaseUrl = must(given ?? database?.first.url, 'a cluster is started where no database is given')
  let server: Kept<Awaited<ReturnType<typeof serve>>>
  try {
    server = await keepRunning('The server', () => serve({
      port, databaseUrl, demo: true, backups: resolve(FOLDER, 'backups'), ...(network ? { network } : {}),
    }))
  } catch (error) {
    await database?.stop()
    throw error
  }
  const { address } = server.first
  writeFileSync(MARKER, JSON.stringify({ pid: process.pid, address, databasePort: given ? null : databasePort }))
  const where = given ? 'your database' : relative('.', resolve(FOLDER, 'postgres'))
  say(`\nOxlip is ready:  ${address}\nCtrl-C stops it; what you enter is kept in ${where}.`)

  if (network) say(await networkWords(network))

  await new Promise((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, resolve)
  })
  await server.stop()
  await database?.stop()
  rmSync(MARKER, { force: true })
  say('\nStopped.')
})

async function startDatabase(port: number): Promise<Running & { url: string }> {
  const { url, running } = await startCluster(resolve(FOLDER, 'postgres'), { lasting: true, port })
  return { ...running, url }
}
