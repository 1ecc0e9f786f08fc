import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startCluster } from '../../scripts/lib/postgres'
import { keep } from './kept'

/** Starts a throw-away PostgreSQL for the tests of this run. */
export default async function setup(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'oxlip-test-'))
  const cluster = await startCluster(join(folder, 'postgres'), { lasting: false })
  process.env.OXLIP_TEST_DATABASE = cluster.url
  keep({ cluster, folder })
}
