import { logChoose } from './binomial'
import type { Counted } from './rate'

/** Tables as likely as this one but for rounding count with it. */
const ALIKE = 1e-7

/**
 * How likely two rates differ at least as much as these by chance alone, though they are the same: Fisher’s exact test (1935), to both
 * sides, all tables counted that are no likelier than this one. 1 where nothing can be told.
 */
export function exactP(one: Counted, other: Counted): number {
  const all = one.of + other.of
  const hits = one.hits + other.hits
  const logOf = (k: number) => logChoose(one.of, k) + logChoose(other.of, hits - k) - logChoose(all, hits)
  const own = logOf(one.hits)
  let sum = 0
  for (let k = Math.max(0, hits - other.of); k <= Math.min(one.of, hits); k++) {
    const log = logOf(k)
    if (log <= own + ALIKE) sum += Math.exp(log)
  }
  return Math.min(1, sum)
}
