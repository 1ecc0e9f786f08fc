import { must } from '../core/sure'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { buildIfNeeded } from './lib/build'
import { refuseFullDisk } from './lib/disk'
import { servePort } from './lib/ports'
import { startCluster } from './lib/postgres'
import { main, Plain, say } from './lib/say'
import { serve } from './lib/serve'

const FOLDER = resolve('.oxlip')
const MARKER = resolve(FOLDER, 'running.json')

await main(async () => {
  mkdirSync(FOLDER, { recursive: true })
  const there = await alreadyRunning()
  if (there) return say(`Oxlip is running from this folder already: ${there}`)
  await refuseFullDisk(FOLDER, 100, 'the database')
  const port = await servePort(process.env.PORT)
  await buildIfNeeded()

  const given = process.env.OXLIP_DATABASE_URL
  const cluster = given ? undefined : await startCluster(resolve(FOLDER, 'postgres'), { lasting: true })
  let server: Awaited<ReturnType<typeof serve>>
  try {
    server = await serve({ port, databaseUrl: must(cluster?.url ?? given, 'a cluster is started where no database is given'), demo: true })
  } catch (error) {
    await cluster?.stop()
    throw error
  }
  writeFileSync(MARKER, JSON.stringify({ pid: process.pid, address: server.address }))
  say(`\nOxlip is ready:  ${server.address}\nCtrl-C stops it; what you enter is kept ${given ? 'in your database' : 'in .oxlip/postgres'}.`)

  const asked = new Promise<'asked'>((resolve) => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => resolve('asked'))
  })
  const why = await Promise.race([
    asked,
    server.ended.then(() => 'server' as const),
    ...(cluster ? [cluster.running.ended.then(() => 'database' as const)] : []),
  ])
  await server.stop()
  await cluster?.stop()
  rmSync(MARKER, { force: true })
  if (why === 'asked') return say('\nStopped.')
  throw new Plain(
    why === 'server'
      ? 'The server ended by itself; its last words stand above.'
      : 'PostgreSQL ended by itself; see .oxlip/postgres/postgres.log.',
  )
})

/** The address of an Oxlip that runs from this folder, if one answers. */
async function alreadyRunning(): Promise<string | undefined> {
  if (!existsSync(MARKER)) return undefined
  const { address } = JSON.parse(readFileSync(MARKER, 'utf8')) as { address: string }
  const answer = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(3000) }).catch(() => undefined)
  return answer?.ok ? address : undefined
}
