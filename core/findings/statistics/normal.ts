/** The density of the standard normal at z. */
const density = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)

/** Beyond this nothing is left that a number can hold. */
const FAR = 37

/** How likely a standard normal value lies below z, 0 to 1: the series of Marsaglia (2004), which holds to the last digits. */
export function normalBelow(z: number): number {
  if (z < 0) return 1 - normalBelow(-z)
  if (z > FAR) return 1
  const square = z * z
  let [sum, term] = [z, z]
  for (let odd = 3; term > LAST * sum; odd += 2) {
    term *= square / odd
    sum += term
  }
  return Math.min(1, 0.5 + sum * density(z))
}
/** What adds less than this part changes no digit. */
const LAST = 1e-17

/**
 * Below which value a standard normal one lies with this likelihood.
 * @throws RangeError for a likelihood that is not between 0 and 1
 */
export function normalAt(likelihood: number): number {
  if (!(likelihood > 0 && likelihood < 1)) throw new RangeError('A likelihood should lie between 0 and 1.')
  let [low, high] = [-FAR, FAR]
  for (let halved = 0; halved < HALVINGS; halved++) {
    const middle = (low + high) / 2
    if (normalBelow(middle) < likelihood) low = middle
    else high = middle
  }
  return (low + high) / 2
}
/** So often halved nothing is left between the two. */
const HALVINGS = 60

/** How far to both sides this part of a standard normal lies: 1.96 for 0.95. */
export function withinNormal(part: number): number {
  const known = widths.get(part) ?? normalAt((1 + part) / 2)
  widths.set(part, known)
  return known
}
/** There are few parts that are asked for, and each is asked for often. */
const widths = new Map<number, number>()

/** How likely a standard normal value lies at least as far off as z, to either side. */
export const beyondNormal = (z: number): number => Math.min(1, 2 * normalBelow(-Math.abs(z)))
