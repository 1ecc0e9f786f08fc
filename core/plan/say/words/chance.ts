import { trimmed } from '../../../format'
import type { SandThrough } from '../../../film'

/** A smaller chance than this is hardly any: the model knows it no better. */
const HARDLY = 0.001

/** Less than once in so many is told in whole numbers. */
const FEW = 3

/** A chance as turners say it, in two figures at most: “1 in 2.5”, “1 in 8”, “1 in 40”, “1 in 640”. */
export function chance(part: number): string {
  if (part < HARDLY) return 'hardly any'
  if (part >= 0.95) return 'almost certain'
  const once = 1 / part
  return `1 in ${trimmed(Number(once.toPrecision(2)), once < FEW ? 1 : 0)}`
}

/** From this chance on going through is a high risk. */
export const HIGH_RISK = 0.1

/** A chance of going through, in words: at the edges, which take more. */
export function riskWords({ edges }: SandThrough): string {
  if (edges < HARDLY) return 'hardly a risk of going through'
  if (edges < 0.02) return `a small risk of going through, ${chance(edges)}`
  if (edges < HIGH_RISK) return `a risk of going through, ${chance(edges)}`
  return `a high risk of going through, ${chance(edges)}`
}
