import type { H3Event } from 'h3'
import { TooOftenError } from '../faults'
import { addressOf } from './machine'
import type { Who } from './who'

/** So many requests may come at once, and so many a second in the long run, of one session or, of strangers, one address. */
const BURST = 600
const PER_SECOND = 20
/** So many are remembered; then those that have rested are forgotten. */
const MOST = 5000

/** How much each may ask still, and when that was reckoned, ms. */
const left = new Map<string, { tokens: number, at: number }>()

/** Counts a request. @throws TooOftenError for one too many; on the machine itself nobody counts */
export function heed(event: H3Event, who: Who | undefined, now = Date.now()): void {
  if (who?.how === 'machine') return
  const key = who?.session ?? addressOf(event)
  const { tokens, at } = left.get(key) ?? { tokens: BURST, at: now }
  const has = Math.min(BURST, tokens + ((now - at) / 1000) * PER_SECOND)
  if (left.size >= MOST) for (const [one, { at: seen }] of left) if (now - seen > (BURST / PER_SECOND) * 1000) left.delete(one)
  left.set(key, { tokens: Math.max(0, has - 1), at: now })
  if (has < 1) throw new TooOftenError(Math.ceil((1 - has) / PER_SECOND))
}
