import { spawnSync } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { chownSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { setTimeout as pause } from 'node:timers/promises'
import { Client } from 'pg'
import { launch, type Running } from './child'
import { freePort } from './ports'
import { ensurePostgres, identity, type Identity } from './postgres-program'
import { Plain } from './say'

export interface Cluster {
  /** Address of the database, password included. */
  url: string
  running: Running
  stop: () => Promise<void>
}

interface Place {
  folder: string
  data: string
  password: string
  log: string
}

const placeOf = (folder: string): Place => ({
  folder,
  data: join(folder, 'data'),
  password: join(folder, 'password'),
  log: join(folder, 'postgres.log'),
})

/**
 * Starts a PostgreSQL of our own on loopback with its files below `folder`, made at the first time. A lasting one writes through to the
 * disk; a throw-away one (`lasting` false) does not. On the port given, or any. @throws Plain with what to do
 */
export async function startCluster(folder: string, { lasting, port: wanted }: { lasting: boolean, port?: number }): Promise<Cluster> {
  const bin = ensurePostgres()
  const who = identity()
  const place = placeOf(folder)
  if (!existsSync(join(place.data, 'PG_VERSION'))) initialise(bin, who, place, lasting)
  const port = wanted ?? (await freePort())
  const url = `postgres://oxlip:${readFileSync(place.password, 'utf8').trim()}@127.0.0.1:${port}/oxlip`
  const running = await untilReady(
    () =>
      launch(
        [
          join(bin, 'postgres'),
          '-D',
          place.data,
          '-c',
          'listen_addresses=127.0.0.1',
          '-c',
          `port=${port}`,
          '-c',
          'unix_socket_directories=',
          ...(lasting ? [] : ['-c', 'fsync=off', '-c', 'full_page_writes=off', '-c', 'synchronous_commit=off']),
        ],
        { signal: 'INT', prefix: who.prefix, log: place.log },
      ),
    url,
    place,
  )
  return { url, running, stop: running.stop }
}

function initialise(bin: string, who: Identity, place: Place, lasting: boolean): void {
  rmSync(place.data, { recursive: true, force: true })
  if (!existsSync(dirname(place.folder))) mkdirSync(dirname(place.folder), { recursive: true })
  if (!existsSync(place.folder)) mkdirSync(place.folder, { mode: 0o700 })
  writeFileSync(place.password, `${randomBytes(24).toString('base64url')}\n`, { mode: 0o600 })
  if (who.owner) for (const path of [place.folder, place.password]) chownSync(path, who.owner.uid, who.owner.gid)
  const [program = '', ...rest] = [
    ...who.prefix,
    join(bin, 'initdb'),
    '-D',
    place.data,
    '-U',
    'oxlip',
    '-A',
    'scram-sha-256',
    '--pwfile',
    place.password,
    '-E',
    'UTF8',
    '--locale',
    'C.UTF-8',
    // A disk that gives back other bytes than it took is noticed.
    '--data-checksums',
    ...(lasting ? [] : ['--no-sync']),
  ]
  const made = spawnSync(program, rest, { encoding: 'utf8' })
  if (made.status !== 0) {
    rmSync(place.data, { recursive: true, force: true })
    throw new Plain(
      `PostgreSQL could not make its data folder ${place.data}: `
      + `${lastLine(made.stderr ?? String(made.error))}`
      + (who.owner ? ' (as root without user namespaces, every folder above it must be passable for the user postgres)' : ''),
    )
  }
}

/** Starts PostgreSQL and waits until it answers. One that was killed may still be going, or recovering: both get time. */
async function untilReady(start: () => Running, url: string, place: Place): Promise<Running> {
  const deadline = Date.now() + 60_000
  let running = start()
  let over = false
  const watch = (one: Running) =>
    void one.ended.then(() => {
      if (one === running) over = true
    })
  watch(running)
  for (;;) {
    if (await answers(url)) return running
    if (over) {
      const said = lastLine(existsSync(place.log) ? readFileSync(place.log, 'utf8') : '')
      const leaving = /lock file|postmaster|shared memory/.test(readTail(place.log))
      if (!leaving || Date.now() > deadline)
        throw new Plain(`PostgreSQL did not start: ${said || 'no word from it'}. Its log: ${place.log}`)
      over = false
      await pause(500)
      running = start()
      watch(running)
    }
    if (Date.now() > deadline) {
      await running.stop()
      throw new Plain(`PostgreSQL did not answer within a minute. Its log: ${place.log}`)
    }
    await pause(100)
  }
}

/** Whether the database answers; makes it when the server is there but the database is not. */
async function answers(url: string): Promise<boolean> {
  const server = new Client({ connectionString: url.replace(/\/oxlip$/, '/postgres'), connectionTimeoutMillis: 2000 })
  try {
    await server.connect()
    const { rowCount } = await server.query('select 1 from pg_database where datname = $1', ['oxlip'])
    if (!rowCount) await server.query('create database oxlip')
    return true
  } catch {
    return false
  } finally {
    await server.end().catch(() => {})
  }
}

const readTail = (path: string): string => (existsSync(path) ? readFileSync(path, 'utf8').trim().split('\n').slice(-4).join('\n') : '')
const lastLine = (text: string): string => text.trim().split('\n').at(-1) ?? ''
