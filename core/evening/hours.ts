import { nth, real } from '../sure'
import type { Hours } from './problem'

/** A clock of hands: hours by hours, and after the last ones time without end, where lies what is not done in them. */
export interface Clock {
  /** The hours, and what comes after them. */
  hours: readonly Hours[]
  /** Where the hours end. */
  end: number
  /** From when each of them are, s. */
  from: Float64Array
  /** Until when, s; Infinity for what comes after them. */
  to: Float64Array
}

/**
 * A clock of one pair of hands; `last` is where the hours of all of them end.
 * @throws RangeError when hours lie over one another or end before they begin
 */
export function clockOf(given: readonly Hours[], last = 0): Clock {
  given.forEach(({ from, to }, index) => {
    if (!(to > from) || !(from >= 0)) throw new RangeError('Hours should end after they begin, and begin no sooner than the plan.')
    const before = given[index - 1]
    if (before && before.to > from) throw new RangeError('Hours should come one after the other.')
  })
  const end = Math.max(last, given.at(-1)?.to ?? 0)
  const hours = [...given, { from: end, to: Infinity }]
  return { end, hours, from: Float64Array.from(hours, one => one.from), to: Float64Array.from(hours, one => one.to) }
}

/** The first hours that are not over at a moment. */
export function hoursAt({ to }: Clock, moment: number): number {
  let [low, high] = [0, to.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (real(to, middle) > moment) high = middle
    else low = middle + 1
  }
  return low
}

/** The same, where they are known to be no earlier ones than `first`. */
export function hoursFrom({ to }: Clock, moment: number, first: number): number {
  let at = first
  while (at < to.length - 1 && real(to, at) <= moment) at++
  return at
}

/** The evening in which hands have worked until a moment: what ends with its hours belongs to them. */
export function eveningOf({ to }: Clock, moment: number, first = 0): number {
  let at = first
  while (at < to.length - 1 && real(to, at) < moment) at++
  return at
}

/** From when on hands are there for so long at a stretch, no sooner than `from`, s; no earlier hours than `first` are looked at. */
export function whenFree(clock: Clock, from: number, length: number, first?: number): number {
  for (let at = first === undefined ? hoursAt(clock, from) : hoursFrom(clock, from, first); at < clock.to.length; at++) {
    const opens = real(clock.from, at)
    const begins = from > opens ? from : opens
    if (begins + length <= real(clock.to, at)) return begins
  }
  return Infinity
}

/** Hands there from one moment to another, s. */
export function handsBetween(clock: Clock, from: number, to: number): number {
  const { hours } = clock
  let sum = 0
  for (let at = hoursAt(clock, from); at < hours.length; at++) {
    const one = nth(hours, at)
    if (one.from >= to) break
    sum += Math.max(0, Math.min(to, one.to) - Math.max(from, one.from))
  }
  return sum
}

/** From when on hands are there again after a moment. */
export function nextHours({ hours }: Clock, after: number): readonly Hours[] {
  const first = hours.findIndex(one => one.from > after)
  return first < 0 ? [] : hours.slice(first)
}

/** How much work all hands together have done by a moment, as a line that rises by how many are there. */
export interface Capacity {
  /** Moments at which hands come or go, in order. */
  at: readonly number[]
  /** Hands from each of them on. */
  hands: readonly number[]
  /** What they could have done by each of them, s. */
  done: readonly number[]
}

/** What several clocks hold together. */
export function capacityOf(clocks: readonly Clock[]): Capacity {
  const changes = clocks.flatMap(({ hours }) =>
    hours.flatMap(({ from, to }) => [{ moment: from, by: 1 }, ...(to < Infinity ? [{ moment: to, by: -1 }] : [])]))
  const at = [...new Set([0, ...changes.map(one => one.moment)])].sort((a, b) => a - b)
  const hands: number[] = []
  const done: number[] = []
  for (const [index, moment] of at.entries()) {
    const before = index ? nth(done, index - 1) + nth(hands, index - 1) * (moment - nth(at, index - 1)) : 0
    done.push(before)
    hands.push((hands.at(-1) ?? 0) + changes.filter(one => one.moment === moment).reduce((sum, one) => sum + one.by, 0))
  }
  return { at, hands, done }
}

/** What could have been done by a moment, s. */
export function doneBy({ at, hands, done }: Capacity, moment: number): number {
  let [low, high] = [0, at.length - 1]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (nth(at, middle) <= moment) low = middle
    else high = middle - 1
  }
  return nth(done, low) + nth(hands, low) * Math.max(0, moment - nth(at, low))
}

/** When so much could be done at the soonest, s of work counted as `doneBy` does: nothing does it sooner. */
export function whenDone({ at, hands, done }: Capacity, work: number): number {
  let [low, high] = [0, at.length - 1]
  // The last moment at which less was done.
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (nth(done, middle) < work) low = middle
    else high = middle - 1
  }
  return nth(hands, low) > 0 ? nth(at, low) + (work - nth(done, low)) / nth(hands, low) : nth(at, low)
}
