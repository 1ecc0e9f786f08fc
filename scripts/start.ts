import { must } from '../core/sure'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { relative, resolve } from 'node:path'
import { buildIfNeeded } from './lib/build'
import type { Running } from './lib/child'
import { refuseFullDisk } from './lib/disk'
import { keepRunning, type Kept } from './lib/keep'
import { freePort, servePort } from './lib/ports'
import { startCluster } from './lib/postgres'
import { main, say } from './lib/say'
import { serve } from './lib/serve'

/** Where it keeps what it needs. */
const FOLDER = resolve(process.env.OXLIP_FOLDER ?? '.oxlip')
const MARKER = resolve(FOLDER, 'running.json')

await main(async () => {
  mkdirSync(FOLDER, { recursive: true })
  const there = await alreadyRunning()
  if (there) return say(`Oxlip is running from this folder already: ${there}`)
  await refuseFullDisk(FOLDER, 100, 'the database')
  const port = await servePort(process.env.PORT)
  await buildIfNeeded()

  const given = process.env.OXLIP_DATABASE_URL
  const databasePort = await freePort()
  const database = given ? undefined : await keepRunning('PostgreSQL', () => startDatabase(databasePort))
  const databaseUrl = must(given ?? database?.first.url, 'a cluster is started where no database is given')
  let server: Kept<Awaited<ReturnType<typeof serve>>>
  try {
    server = await keepRunning('The server', () => serve({ port, databaseUrl, demo: true }))
  } catch (error) {
    await database?.stop()
    throw error
  }
  const { address } = server.first
  writeFileSync(MARKER, JSON.stringify({ pid: process.pid, address }))
  const where = given ? 'your database' : relative('.', resolve(FOLDER, 'postgres'))
  say(`\nOxlip is ready:  ${address}\nCtrl-C stops it; what you enter is kept in ${where}.`)

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

/** The address of an Oxlip that runs from this folder, if one answers. */
async function alreadyRunning(): Promise<string | undefined> {
  if (!existsSync(MARKER)) return undefined
  const { address } = JSON.parse(readFileSync(MARKER, 'utf8')) as { address: string }
  const answer = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(3000) }).catch(() => undefined)
  return answer?.ok ? address : undefined
}
