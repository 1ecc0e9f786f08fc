import { nth } from '../../sure'
import { fairBelow } from './binomial'
import { withinNormal } from './normal'
import { LEVEL, type Between } from './rate'

const up = (a: number, b: number): number => a - b

/** The value in the middle; of an even number halfway between the two. NaN of none. */
export function middleOf(values: readonly number[]): number {
  const sorted = [...values].sort(up)
  const half = sorted.length >> 1
  return sorted.length % 2 ? nth(sorted, half) : (nth(sorted, half - 1) + nth(sorted, half)) / 2
}

/**
 * The value in the middle with an interval that holds whatever the values are like: between two of them, by the binomial. Undefined where
 * there are too few for that: six are needed for 95 in 100.
 */
export function medianOf(values: readonly number[], level = LEVEL): Between | undefined {
  const sorted = [...values].sort(up)
  const count = sorted.length
  let place = -1
  while (place + 1 < count / 2 && fairBelow(count, place + 1) <= (1 - level) / 2) place++
  if (place < 0) return undefined
  return { value: middleOf(sorted), low: nth(sorted, place), high: nth(sorted, count - 1 - place) }
}

/** More values than this are thinned out evenly before every one is set against every other. */
const MOST = 400

/**
 * By how much values of one kind are higher than those of another: the middle of all differences (Hodges and Lehmann 1963), with the
 * interval that goes with ranks (Moses). Undefined where there are too few.
 */
export function shiftOf(one: readonly number[], other: readonly number[], level = LEVEL): Between | undefined {
  const [a, b] = [thinned(one), thinned(other)]
  const all = a.flatMap(x => b.map(y => x - y)).sort(up)
  // The interval is as wide as all of the values make it, not those that are left.
  const spread = Math.sqrt((one.length + other.length + 1) / (12 * one.length * other.length))
  const from = Math.floor(all.length * (0.5 - withinNormal(level) * spread))
  if (!(from > 0)) return undefined
  return { value: middleOf(all), low: nth(all, from - 1), high: nth(all, all.length - from) }
}

function thinned(values: readonly number[]): number[] {
  const sorted = [...values].sort(up)
  if (sorted.length <= MOST) return sorted
  return Array.from({ length: MOST }, (_, at) => nth(sorted, Math.floor(((at + 0.5) * sorted.length) / MOST)))
}
