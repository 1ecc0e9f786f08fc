import { readFileSync } from 'node:fs'
import { setTimeout as pause } from 'node:timers/promises'
import type { NetworkWish } from '../../server/network/listen'
import { launch, type Running } from './child'
import { Plain } from './say'

/** Starts the built server on loopback and waits until it answers. @throws Plain when it ends or stays silent */
export async function serve({
  port,
  databaseUrl,
  demo,
  log,
  backups,
  network,
}: {
  port: number
  databaseUrl: string
  demo: boolean
  log?: string
  /** Where the database is saved before its form is changed. */
  backups?: string
  /** How it listens on the network too. */
  network?: NetworkWish
}): Promise<Running & { address: string }> {
  const address = `http://127.0.0.1:${port}`
  const running = launch([process.execPath, '.output/server/index.mjs'], {
    signal: 'TERM',
    ...(log ? { log } : {}),
    env: {
      NODE_ENV: 'production',
      NITRO_HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      HOST: '127.0.0.1',
      PORT: String(port),
      NITRO_SHUTDOWN_TIMEOUT: '1000',
      OXLIP_DATABASE_URL: databaseUrl,
      OXLIP_DEMO: demo ? '1' : '0',
      ...(backups ? { OXLIP_BACKUPS: backups } : {}),
      ...(network
        ? {
            OXLIP_NETWORK_FOLDER: network.folder, OXLIP_NETWORK_PORT: String(network.port), OXLIP_NETWORK_HOST: network.host ?? '',
          }
        : {}),
    },
  })
  let code: number | null | undefined
  void running.ended.then((ended) => {
    code = ended
  })
  const deadline = Date.now() + 60_000
  while (code === undefined && Date.now() < deadline) {
    const answer = await fetch(`${address}/api/health`, { signal: AbortSignal.timeout(5000) }).catch(() => undefined)
    if (answer?.ok) return { ...running, address }
    await pause(100)
  }
  await running.stop()
  const reason = log ? `it said last:\n${readFileSync(log, 'utf8').slice(-2000)}` : 'the reason stands above.'
  throw new Plain(code === undefined ? 'The server did not answer within a minute.' : `The server did not start; ${reason}`)
}
