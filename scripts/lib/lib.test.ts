import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Client } from 'pg'
import { refuseFullDisk } from './disk'
import type { Running } from './child'
import { keepRunning } from './keep'
import { freePort, servePort } from './ports'
import { startCluster } from './postgres'
import { Plain } from './say'

/** Runs something with a client of a database. */
async function ask<T>(url: string, question: string): Promise<T[]> {
  const client = new Client({ connectionString: url })
  await client.connect()
  try {
    return (await client.query(question)).rows as T[]
  } finally {
    await client.end()
  }
}

describe('our own PostgreSQL', () => {
  let folder: string
  beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'oxlip-own-'))
  })
  afterEach(() => rmSync(folder, { recursive: true, force: true }))

  it('keeps its data from start to start, and after it was killed', async () => {
    const place = join(folder, 'postgres')
    const first = await startCluster(place, { lasting: true })
    await ask(first.url, 'create table kept (word text); insert into kept values (\'once\')')
    await first.stop()
    const second = await startCluster(place, { lasting: true })
    await ask(second.url, 'insert into kept values (\'twice\')')
    second.running.process.kill('SIGKILL')
    await second.running.ended
    const third = await startCluster(place, { lasting: true })
    expect(await ask(third.url, 'select word from kept')).toEqual([{ word: 'once' }, { word: 'twice' }])
    await third.stop()
  }, 60_000)

  it('listens on loopback only, wants its password, and lets only its owner read it', async () => {
    const place = join(folder, 'postgres')
    const cluster = await startCluster(place, { lasting: false })
    expect(await ask(cluster.url, 'show listen_addresses')).toEqual([{ listen_addresses: '127.0.0.1' }])
    expect(await ask(cluster.url, 'show data_checksums')).toEqual([{ data_checksums: 'on' }])
    expect(await ask(cluster.url, 'show password_encryption')).toEqual([{ password_encryption: 'scram-sha-256' }])
    await expect(ask(cluster.url.replace(/:[^:@]+@/, ':wrong@'), 'select 1')).rejects.toThrow(/password authentication failed/)
    expect(statSync(join(place, 'password')).mode & 0o077).toBe(0)
    expect(readFileSync(join(place, 'password'), 'utf8').trim().length).toBeGreaterThanOrEqual(32)
    await cluster.stop()
  }, 60_000)

  it('says in words why it cannot start', async () => {
    const place = join(folder, 'postgres')
    const cluster = await startCluster(place, { lasting: false })
    await cluster.stop()
    rmSync(join(place, 'data', 'global'), { recursive: true })
    mkdirSync(join(place, 'data', 'global'))
    await expect(startCluster(place, { lasting: false })).rejects.toThrow(/PostgreSQL did not start: .+ Its log: /)
    expect(existsSync(join(place, 'postgres.log'))).toBe(true)
  }, 60_000)
})

describe('ports', () => {
  const taken = async (port: number) => {
    const server = createServer()
    await new Promise<void>(resolve => server.listen(port, '127.0.0.1', resolve))
    return server
  }
  it('takes the one asked for, or says who has it and what to do', async () => {
    const port = await freePort()
    expect(await servePort(String(port))).toBe(port)
    const server = await taken(port)
    await expect(servePort(String(port))).rejects.toThrow(/is taken .* PORT=3001/)
    server.close()
  })
  it.each(['abc', '0', '70000', '3.5'])('refuses “%s”', async (asked) => {
    await expect(servePort(asked)).rejects.toThrow(Plain)
  })
  it('goes on to the next free one', async () => {
    const first = await servePort(undefined)
    const server = await taken(first)
    expect(await servePort(undefined)).toBeGreaterThan(first)
    server.close()
  })
})

describe('a child that is kept running', () => {
  /** Children that can be ended from here. */
  function children() {
    const alive: { die: () => void, stopped: boolean }[] = []
    const start = async (): Promise<Running> => {
      const one = { die: () => {}, stopped: false }
      const ended = new Promise<number | null>((resolve) => {
        one.die = () => resolve(1)
      })
      alive.push(one)
      const stop = async () => {
        one.stopped = true
        one.die()
      }
      return { process: undefined as never, ended, stop }
    }
    return { alive, start }
  }
  /** Waits for something that comes by itself. */
  const until = async (is: () => boolean) => {
    while (!is()) await new Promise(resolve => setImmediate(resolve))
  }

  it('is started again at once, then after growing pauses, and that is told', async () => {
    const { alive, start } = children()
    const told: string[] = []
    const kept = await keepRunning('The lathe', start, { pauses: [0, 1, 2], tell: text => told.push(text) })
    for (const count of [1, 2, 3, 4]) {
      await until(() => alive.length === count)
      alive[count - 1]!.die()
    }
    await until(() => alive.length === 5)
    await kept.stop()
    expect(alive.map(one => one.stopped)).toEqual([false, false, false, false, true])
    expect(told).toHaveLength(4)
    expect(told[0]).toBe('The lathe ended by itself; it is started again.')
  })
  it('tries again when it cannot be started, but for the first time', async () => {
    const { alive, start } = children()
    let fails = 2
    const told: string[] = []
    const kept = await keepRunning('The lathe', async () => {
      if (alive.length && fails-- > 0) throw new Error('No belt.')
      return start()
    }, { pauses: [0], tell: text => told.push(text) })
    alive[0]!.die()
    await until(() => alive.length === 2)
    await kept.stop()
    expect(told.filter(text => text === 'No belt.')).toHaveLength(2)
    await expect(keepRunning('The lathe', () => Promise.reject(new Error('No motor.')))).rejects.toThrow('No motor.')
  })
  it('is left when it is asked to stop, in a pause too', async () => {
    const { alive, start } = children()
    const told: string[] = []
    const kept = await keepRunning('The lathe', start, { pauses: [3_600_000], tell: text => told.push(text) })
    alive[0]!.die()
    await until(() => told.length === 1)
    await kept.stop()
    expect(alive).toHaveLength(1)
  })
})

it('a full disk is told before anything is half written', async () => {
  await expect(refuseFullDisk('.', 1, 'this')).resolves.toBeUndefined()
  await expect(refuseFullDisk('.', 1e12, 'the database')).rejects.toThrow(/nearly full: \d+ MB free .* the database needs about/)
})
