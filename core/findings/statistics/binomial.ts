import { nth } from '../../sure'

const logs = [0]

/** The logarithm of n!, n a whole number from 0 on: summed up once, and kept. */
export function logFactorial(n: number): number {
  for (let next = logs.length; next <= n; next++) logs.push(nth(logs, next - 1) + Math.log(next))
  return nth(logs, n)
}

/** The logarithm of how many ways there are to choose k of n; none: -Infinity. */
export const logChoose = (n: number, k: number): number =>
  k < 0 || k > n ? -Infinity : logFactorial(n) - logFactorial(k) - logFactorial(n - k)
