import { setTimeout as pause } from 'node:timers/promises'
import type { Running } from './child'
import { say } from './say'

/** A child that is started again whenever it ends by itself. */
export interface Kept<R extends Running> {
  /** As it was started first. */
  first: R
  /** Ends it for good. */
  stop: () => Promise<void>
}

/** How long to wait before a child is started again, ms: at once, then longer and longer while it keeps dying. */
const PAUSES = [0, 1000, 2000, 5000, 10_000, 30_000, 60_000]
/** One that ran for so long has settled: the next end counts as the first, ms. */
const SETTLED = 120_000

/**
 * Starts a child and keeps it running: one that ends by itself is started again, at first at once, then after growing pauses. Throws
 * only when it cannot be started the first time.
 */
export async function keepRunning<R extends Running>(
  name: string,
  start: () => Promise<R>,
  { pauses = PAUSES, settled = SETTLED, tell = say }: { pauses?: readonly number[], settled?: number, tell?: (text: string) => void } = {},
): Promise<Kept<R>> {
  const over = new AbortController()
  const first = await start()
  let running: R | undefined = first

  async function keep() {
    let deaths = 0
    let since = Date.now()
    while (!over.signal.aborted) {
      if (running) {
        await running.ended
        running = undefined
        if (over.signal.aborted) return
        if (Date.now() - since > settled) deaths = 0
      }
      const wait = pauses[Math.min(deaths++, pauses.length - 1)] ?? 0
      tell(`${name} ended by itself; ${wait ? `it is started again in ${Math.round(wait / 1000)} s` : 'it is started again'}.`)
      await pause(wait, undefined, { signal: over.signal }).catch(() => undefined)
      if (over.signal.aborted) return
      since = Date.now()
      try {
        running = await start()
        // Asked to stop while it was starting.
        if (over.signal.aborted) await running.stop()
      } catch (error) {
        tell((error as Error).message)
      }
    }
  }
  const kept = keep()
  return {
    first,
    stop: async () => {
      over.abort()
      await running?.stop()
      await kept
    },
  }
}
