import { ranged, type Ranged } from '../figures'

/** One grit that was worked and looked at: what the model says was to come off, and whether it was gone. */
export interface SandingObservation {
  /**
   * Depth that was to be removed, µm, and the model's capacity of the piece, µm, and time constant, s, under the conditions it was
   * used.
   */
  depth: number
  /** The model’s capacity of the piece, µm. */
  capacity: number
  /** The model’s time constant, s. */
  tau: number
  /** Seconds it was sanded. */
  seconds: number
  /** Whether the marks were gone. */
  gone: boolean
}

/** A turner's own factor on the model's default, with the range it lies in nine times out of ten. 1 is the default. */
export type OwnFactor = Ranged

export interface Learnt {
  /** Cut rate: above 1 quicker than the default. */
  rate: OwnFactor
  /** What a piece takes off before it is dull. */
  capacity: OwnFactor
  /** Looks it was learnt from. */
  observations: number
  /** How much narrower than before anything was logged the rate is known: 0 nothing learnt, towards 1 sure. */
  sureness: number
}

/** How far turners lie from the default, as standard deviations of the logarithm [model]: this is what few data are shrunk towards. */
const SPREAD = { rate: 0.4, capacity: 0.25 }
/** How sharply the eye tells what is gone: standard deviation of the logarithm of removed over needed depth [model]. */
const EYE = 0.25
const STEPS = 41
const REACH = 3

/**
 * A turner's own cut rate and capacity from logged times: every pair of factors is weighed by how usual it is and by how well it
 * explains what was gone and what was not. With nothing logged it answers the default; every answer moves it a little.
 */
export function learnSanding(observations: readonly SandingObservation[]): Learnt {
  const axis = Array.from({ length: STEPS }, (_, index) => REACH * ((2 * index) / (STEPS - 1) - 1))
  const cells = axis.flatMap(r =>
    axis.map((c) => {
      const [rate, capacity] = [Math.exp(SPREAD.rate * r), Math.exp(SPREAD.capacity * c)]
      const log = observations.reduce((sum, one) => sum + Math.log(chance(one, rate, capacity)), -(r * r + c * c) / 2)
      return { rate, capacity, log }
    }),
  )
  const most = cells.reduce((top, cell) => Math.max(top, cell.log), -Infinity)
  const weighed = cells.map(cell => ({ ...cell, weight: Math.exp(cell.log - most) }))
  const rate = ranged(weighed.map(({ rate: value, weight }) => ({ value, weight })))
  const spread
    = Math.log(rate.high / rate.low)
      / Math.log(ranged(axis.map(r => ({ value: Math.exp(SPREAD.rate * r), weight: Math.exp((-r * r) / 2) }))).high ** 2)
  return {
    rate,
    capacity: ranged(weighed.map(({ capacity: value, weight }) => ({ value, weight }))),
    observations: observations.length,
    sureness: Math.max(0, 1 - spread),
  }
}

/** The chance of the answer that was given, for these factors. */
function chance({ depth, capacity, tau, seconds, gone }: SandingObservation, rate: number, most: number): number {
  const removed = capacity * most * (1 - Math.exp((-seconds * rate) / tau))
  const yes = 1 / (1 + Math.exp((-1.7 * Math.log(Math.max(1e-6, removed) / Math.max(1e-6, depth))) / EYE))
  // An eye errs now and then, whatever the depth.
  return 0.02 + 0.96 * (gone ? yes : 1 - yes)
}
