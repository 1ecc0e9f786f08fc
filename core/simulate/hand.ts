import { WAIT_SPREAD } from '../climate'
import { BUILD_SPREAD } from '../film'
import type { OwnHands } from '../bench'
import type { Ranged } from '../figures'
import type { StepKind, Taught } from '../plan'
import { SANDING_SPREAD } from '../sanding'
import { sandingClass, type Material } from '../shelf'

/** How surely a turner’s hands are known, as standard deviations of logarithms, and how they work. */
export interface Hand {
  /** Of the cut rate, of what a piece takes off before it is dull, and of change and look. */
  sanding: { rate: number, capacity: number, overhead: number }
  /** Of what a coat builds, by product; `usual` where nothing was measured. */
  builds: Readonly<Record<string, number>>
  /** Of how long coats take to harden, by product; `usual` where nothing was touched. */
  waits: Readonly<Record<string, number>>
  /** Factors on the planned time of each kind of step, and how much one differs from the next; as planned where nothing is known. */
  paces: Readonly<Partial<Record<StepKind, { factor: number, spread: number }>>>
  /** Waits are cut to this part, and nobody touches; absent: they are kept, and it is waited on where a finger still sticks. */
  hurry?: number
  /** Somebody who has not done it often. */
  beginner?: boolean
}

/** How much one step differs from the next where nothing is known, as a standard deviation of the logarithm of its time [model]. */
export const PACE_SPREAD = 0.4

const sdOf = ({ low, high }: Pick<Ranged, 'low' | 'high'>, usual: number): number =>
  low > 0 && high > low ? Math.min(usual, Math.log(high / low) / (2 * Z90)) : usual
/** One in twenty lies beyond so many standard deviations on either side. */
const Z90 = 1.645

/** How surely the hands of a turner are known on a material, from what was learnt of them. */
export function handOf(material: Material, taught?: Taught, hands?: Pick<OwnHands, 'paces'>): Hand {
  const own = taught?.sanding[sandingClass(material)]
  const builds = Object.entries(taught?.builds.products ?? {}).filter(([, one]) => one.measurements > 0)
  const waits = Object.entries(taught?.waits ?? {})
  return {
    sanding: {
      rate: own ? sdOf(own.rate, SANDING_SPREAD.rate) : SANDING_SPREAD.rate,
      capacity: own ? sdOf(own.capacity, SANDING_SPREAD.capacity) : SANDING_SPREAD.capacity,
      overhead: own ? sdOf(own.overhead, SANDING_SPREAD.overhead) : SANDING_SPREAD.overhead,
    },
    builds: { usual: BUILD_SPREAD, ...Object.fromEntries(builds.map(([id, one]) => [id, sdOf(one, BUILD_SPREAD)])) },
    waits: { usual: WAIT_SPREAD, ...Object.fromEntries(waits.map(([id, one]) => [id, sdOf(one.factor, WAIT_SPREAD)])) },
    paces: Object.fromEntries(Object.entries(hands?.paces ?? {}).map(([kind, { factor, spread }]) => [kind, { factor, spread }])),
  }
}

/** What somebody does otherwise who has not done it often: so many times as slow, as uneven, and as long after it is gone [model]. */
export const BEGINNER = { pace: 1.6, wood: 1.5, over: 1.25, eye: 2 }
