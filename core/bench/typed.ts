import type { BenchEvent } from './event'
import { isSettling, isShared } from './held'
import { secondsBetween } from './pause'

/** So many entries in a row at one pace, or within a moment, were typed in after the work [model]. */
const TYPED = { run: 4, moment: 3, even: 1.1 }

/** The entries that were typed in afterwards: many done at an even pace, or stamped together. */
export function typedAfterwards(entries: readonly BenchEvent[]): ReadonlySet<string> {
  const settled = entries.filter(isSettling).filter(event => !isShared(event))
  const gaps = settled.slice(1).map((event, index) => secondsBetween(settled[index]?.at ?? event.at, event.at))
  const found = new Set<string>()
  for (let from = 0; from + TYPED.run <= gaps.length; from++) {
    const run = gaps.slice(from, from + TYPED.run)
    const [least, most] = [Math.min(...run), Math.max(...run)]
    if (most > TYPED.moment && most > TYPED.even * least) continue
    for (const event of settled.slice(from, from + TYPED.run + 1)) found.add(event.id)
  }
  return found
}
