import { nth } from '../../sure'
import { logChoose } from './binomial'
import { withinNormal } from './normal'
import { LEVEL, type Between } from './rate'

const inOrder = (values: readonly number[]): Float64Array => Float64Array.from(values).sort()

const halfway = (sorted: ArrayLike<number>): number => {
  const half = sorted.length >> 1
  return sorted.length % 2 ? nth(sorted, half) : (nth(sorted, half - 1) + nth(sorted, half)) / 2
}

/** The value in the middle; of an even number halfway between the two. @throws RangeError of none */
export const middleOf = (values: readonly number[]): number => halfway(inOrder(values))

/**
 * The value in the middle with an interval that holds whatever the values are like: between two of them, by the binomial. Undefined where
 * there are too few for that: six are needed for 95 in 100.
 */
export function medianOf(values: readonly number[], level = LEVEL): Between | undefined {
  const sorted = inOrder(values)
  const count = sorted.length
  let place = -1
  // How likely no more than so many of them lie on one side of the true middle, as of tosses of a fair coin.
  let below = 0
  for (let next = 0; next < count / 2; next++) {
    below += Math.exp(logChoose(count, next) - count * Math.LN2)
    if (below > (1 - level) / 2) break
    place = next
  }
  if (place < 0) return undefined
  return { value: halfway(sorted), low: nth(sorted, place), high: nth(sorted, count - 1 - place) }
}

/** More values than this are thinned out evenly before every one is set against every other. */
const MOST = 120

/**
 * By how much values of one kind are higher than those of another, at any level: the middle of all differences (Hodges and Lehmann 1963),
 * with the interval that goes with ranks (Moses). Undefined at levels for which there are too few.
 */
export function shiftsOf(one: readonly number[], other: readonly number[]): (level?: number) => Between | undefined {
  const [a, b] = [thinned(one), thinned(other)]
  const all = new Float64Array(a.length * b.length)
  a.forEach((x, row) => b.forEach((y, column) => {
    all[row * b.length + column] = x - y
  }))
  all.sort()
  // The interval is as wide as all of the values make it, not those that are left.
  const spread = Math.sqrt((one.length + other.length + 1) / (12 * one.length * other.length))
  return (level = LEVEL) => {
    const from = Math.floor(all.length * (0.5 - withinNormal(level) * spread))
    return from > 0 ? { value: halfway(all), low: nth(all, from - 1), high: nth(all, all.length - from) } : undefined
  }
}

function thinned(values: readonly number[]): Float64Array {
  const sorted = inOrder(values)
  if (sorted.length <= MOST) return sorted
  return Float64Array.from({ length: MOST }, (_, at) => nth(sorted, Math.floor(((at + 0.5) * sorted.length) / MOST)))
}
