import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePair, freePort } from './ports'
import { startCluster } from './postgres'
import { serve } from './serve'
import { TEMPLATE } from './template'

/** A whole Oxlip of its own: throw-away database, built server, demo data. For tests and screenshots. */
export interface Stand {
  address: string
  databaseUrl: string
  /** The server’s process. */
  pid: () => number
  /** What the server wrote to its log. */
  logFile: string
  stopServer: () => Promise<void>
  /** Ends the server without a word, as a power cut would. */
  killServer: () => Promise<void>
  startServer: () => Promise<void>
  /** Holds the server still, or lets it go on: its connections stay open and say nothing, as to a device that sleeps. */
  freeze: (still: boolean) => void
  /** Ends the database without a word, as a power cut would. */
  killDatabase: () => Promise<void>
  startDatabase: () => Promise<void>
  /** Where it listens as on a network, and where its keys are; undefined where it was not asked to. */
  network: { secure: string, plain: string, folder: string } | undefined
  end: () => Promise<void>
}

export async function startStand({ isShared = false } = {}): Promise<Stand> {
  const folder = mkdtempSync(join(tmpdir(), 'oxlip-stand-'))
  const log = join(folder, 'server.log')
  // With their owner and rights, which PostgreSQL looks at.
  const template = process.env[TEMPLATE]
  if (template) execFileSync('cp', ['-a', template, join(folder, 'postgres')])
  const databasePort = await freePort()
  let port = await freePort()
  const startDatabase = () => startCluster(join(folder, 'postgres'), { lasting: false, port: databasePort })
  let cluster = await startDatabase()
  // On loopback only, but by the same listeners as on a network.
  const network = isShared ? { folder: join(folder, 'network'), port: await freePair(), host: '127.0.0.1' } : undefined
  const start = () => serve({ port, databaseUrl: cluster.url, demo: true, log, ...(network ? { network } : {}) })
  // Another program can take the port in the moment between finding it and listening there.
  let server = await start().catch(async () => {
    port = await freePort()
    return start()
  })
  return {
    address: server.address,
    databaseUrl: cluster.url,
    network: network && {
      secure: `https://localhost:${network.port}`, plain: `http://localhost:${network.port + 1}`, folder: network.folder,
    },
    pid: () => server.process.pid ?? 0,
    logFile: log,
    stopServer: () => server.stop(),
    killServer: async () => {
      server.process.kill('SIGKILL')
      await server.ended
    },
    startServer: async () => {
      server = await start()
    },
    freeze: (still) => {
      server.process.kill(still ? 'SIGSTOP' : 'SIGCONT')
    },
    killDatabase: async () => {
      cluster.running.process.kill('SIGKILL')
      await cluster.running.ended
    },
    startDatabase: async () => {
      cluster = await startDatabase()
    },
    end: async () => {
      await server.stop()
      await cluster.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}
