import { withinNormal } from './statistics/normal'
import { LIKELY } from './statistics/verdict'

/** A trial finds what is there so often, at least. */
const POWER = 0.8
/** Fewer pens of each way than this tell nothing, and more nobody makes [model]. */
const PENS = { least: 4, most: 200 }

/**
 * How many pens of each way it takes to find a difference between two rates four times in five, so that it is likely (less than one in
 * ten by chance alone): by the normal distribution, as for two proportions (Fleiss, Statistical Methods for Rates and Proportions).
 * Where the rates are alike, what is looked for is half as often.
 * @throws RangeError for rates that are none
 */
export function pensForTrial(one: number, other: number): number {
  if (![one, other].every(rate => rate >= 0 && rate <= 1)) throw new RangeError('Rates should lie within 0 and 1.')
  const [high, low] = Math.abs(one - other) < ALIKE ? [Math.max(one, other), Math.max(one, other) / 2] : [one, other]
  if (high === low) return PENS.most
  const mean = (high + low) / 2
  const chance = withinNormal(1 - LIKELY) * Math.sqrt(2 * mean * (1 - mean))
  const found = withinNormal(2 * POWER - 1) * Math.sqrt(high * (1 - high) + low * (1 - low))
  return Math.min(PENS.most, Math.max(PENS.least, Math.ceil((chance + found) ** 2 / (high - low) ** 2)))
}
/** Rates nearer than this are alike: nobody makes the hundreds of pens that it takes to tell them apart [model]. */
const ALIKE = 0.15

/**
 * Which of two ways the next pen is made by: drawn by lot in pairs, so that there are never more than one more of one than of the other,
 * and nobody chooses. The same place of the same trial always draws the same.
 */
export function wayAt(ways: readonly [string, string], seed: number, place: number): string {
  const isTurned = mixed(seed, place >> 1) % 2 === 1
  return ways[(place + (isTurned ? 1 : 0)) % 2] ?? ways[0]
}

/** A whole number out of two that shows nothing of them (multiplied and shifted, as in 32-bit hashes). */
function mixed(seed: number, pair: number): number {
  let bits = Math.imul((seed ^ Math.imul(pair + 1, 0x9e3779b1)) >>> 0, 0x85ebca6b) >>> 0
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35) >>> 0
  return (bits ^ (bits >>> 16)) >>> 0
}
