import { nth } from '../../sure'

/**
 * What each of many likelihoods is worth when all were asked at once: the least share of false findings at which it would still be
 * announced (Benjamini and Hochberg 1995, step-up), in the order in which they came.
 */
export function amongMany(likelihoods: readonly number[]): number[] {
  const order = likelihoods.map((_, index) => index).sort((a, b) => nth(likelihoods, b) - nth(likelihoods, a))
  const found = likelihoods.map(() => 1)
  let least = 1
  order.forEach((index, place) => {
    least = Math.min(least, (nth(likelihoods, index) * likelihoods.length) / (likelihoods.length - place))
    found[index] = least
  })
  return found
}
