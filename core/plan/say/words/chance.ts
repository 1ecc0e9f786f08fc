import { trimmed } from '../../../format'
import type { SandThrough } from '../../../film'

/** A smaller chance than this is hardly any: the model knows it no better. */
const HARDLY = 0.001

/** A chance as turners say it, in two figures: “1 in 40”, “1 in 640”. */
export function chance(part: number): string {
  if (part < HARDLY) return 'hardly any'
  if (part >= 0.95) return 'almost certain'
  return `1 in ${trimmed(Number((1 / part).toPrecision(2)), 1)}`
}

/** A chance of going through, in words: at the edges, which take more. */
export function riskWords({ edges }: SandThrough): string {
  if (edges < HARDLY) return 'hardly a risk of going through'
  if (edges < 0.02) return `a small risk of going through, ${chance(edges)}`
  if (edges < 0.1) return `a risk of going through, ${chance(edges)}`
  return `a high risk of going through, ${chance(edges)}`
}
