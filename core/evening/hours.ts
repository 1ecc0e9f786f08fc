import type { Hours } from './problem'

/** A clock of hands: hours by hours, and after the last ones time without end, where lies what is not done in them. */
export interface Clock {
  /** The hours, and what comes after them. */
  hours: readonly Hours[]
  /** Where the hours end. */
  end: number
}

/** @throws RangeError when hours lie over one another or end before they begin */
export function clockOf(given: readonly Hours[]): Clock {
  given.forEach(({ from, to }, index) => {
    if (!(to > from) || !(from >= 0)) throw new RangeError('Hours should end after they begin, and begin no sooner than the plan.')
    const before = given[index - 1]
    if (before && before.to > from) throw new RangeError('Hours should come one after the other.')
  })
  const end = given.at(-1)?.to ?? 0
  return { end, hours: [...given, { from: end, to: Infinity }] }
}

/** From when on hands are there for so long at a stretch, no sooner than `from`, s. */
export function whenFree({ hours }: Clock, from: number, length: number): number {
  for (const one of hours) {
    const begins = Math.max(from, one.from)
    if (begins + length <= one.to) return begins
  }
  return Infinity
}

/** When so much work is done that may be broken off at any time, begun at `from`: no work is done sooner. */
export function whenDone({ hours }: Clock, from: number, work: number): number {
  let left = work
  for (const one of hours) {
    const begins = Math.max(from, one.from)
    if (begins >= one.to) continue
    if (begins + left <= one.to) return begins + left
    left -= one.to - begins
  }
  return Infinity
}

/** Hands there from one moment to another, s. */
export function handsBetween({ hours }: Clock, from: number, to: number): number {
  let sum = 0
  for (const one of hours) sum += Math.max(0, Math.min(to, one.to) - Math.max(from, one.from))
  return sum
}

/** From when on hands are there again after a moment. */
export function nextHours({ hours }: Clock, after: number): readonly Hours[] {
  const first = hours.findIndex(one => one.from > after)
  return first < 0 ? [] : hours.slice(first)
}
