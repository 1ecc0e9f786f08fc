import { rmSync } from 'node:fs'
import { kept } from './kept'

export default async function teardown(): Promise<void> {
  await kept()?.cluster.stop()
  rmSync(kept()?.folder ?? '', { recursive: true, force: true })
}
