import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from './ports'
import { startCluster } from './postgres'
import { serve } from './serve'

/** Names the folder of the template that stands begin from, where there is one. */
export const TEMPLATE = 'OXLIP_STAND_TEMPLATE'

/**
 * Makes the files of a database whose tables stand and in which nothing is, not even the demo, whose days go by the clock. A stand that
 * begins as a copy of it is there in half the time. Answers what removes it.
 */
export async function makeTemplate(): Promise<() => void> {
  const folder = mkdtempSync(join(tmpdir(), 'oxlip-template-'))
  const cluster = await startCluster(join(folder, 'postgres'), { lasting: false })
  const server = await serve({ port: await freePort(), databaseUrl: cluster.url, demo: false, log: join(folder, 'server.log') })
  await server.stop()
  await cluster.stop()
  process.env[TEMPLATE] = join(folder, 'postgres')
  return () => {
    process.env[TEMPLATE] = ''
    rmSync(folder, { recursive: true, force: true })
  }
}
