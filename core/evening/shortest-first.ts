import { num } from '../sure'

/** A piece of work that becomes ready. */
export interface Coming {
  /** From when on hands can be on it, s. */
  ready: number
  /** How long it takes, s. */
  work: number
}

/**
 * When the first, the second, the third of some pieces of work is done by one pair of hands that always works on what takes the least
 * from then on, and leaves it whenever something shorter becomes ready: no other way has as many done by any moment (shortest remaining
 * first; Schrage 1968).
 */
export function shortestFirst(coming: readonly Coming[]): number[] {
  const later = [...coming].sort((a, b) => b.ready - a.ready)
  const left: number[] = []
  const done: number[] = []
  let now = 0
  for (let next = later.at(-1); next ?? left.length; next = later.at(-1)) {
    if (next && (!left.length || next.ready <= now)) {
      now = Math.max(now, next.ready)
      left.push(next.work)
      later.pop()
      continue
    }
    const shortest = left.indexOf(Math.min(...left))
    const rest = num(left, shortest)
    const until = next ? next.ready : Infinity
    if (now + rest <= until) {
      now += rest
      done.push(now)
      left.splice(shortest, 1)
    } else {
      left[shortest] = rest - (until - now)
      now = until
    }
  }
  return done
}
