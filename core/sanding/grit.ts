import type { Surface } from './surface'
import { capacity, scratchLeft, timeToRemove, type Pass } from './work'

/** One abrasive of the stock that may be worked with. */
export interface Rung {
  /** Its name in the stock. */
  id: string
  /** The conditions it is used under. */
  pass: Pass
}

/** One grit as it is worked: what it takes off, how long that takes, and whether it gets there. */
export interface WorkedGrit {
  /** Which abrasive. */
  rung: Rung
  /** Sanding time of all pieces together, s, without the overhead. */
  seconds: number
  /** Fresh pieces of abrasive, each worn out but the last. */
  pieces: number
  /** Depth taken off, µm: that of the scratches before it, or what a piece can do where it cannot reach them. */
  removes: number
  /** Depth of the scratches it leaves of its own, µm. */
  leaves: number
  /** Whether the scratches before it are gone. */
  reaches: boolean
}

/** More pieces of one grit than this are no plan [model]. */
export const MOST_PIECES = 3
/** A grit that cannot do it is given up when its piece has done this part of what it can [model]. */
const GIVEN_UP = 0.9

/**
 * How one abrasive is worked on scratches of `depth` µm: with as many fresh pieces as make it quickest, each costing `overhead` s
 * besides, or given up where three of them cannot. The one rule for a plan, for the search and for the review of a ladder.
 */
export function workGrit(rung: Rung, depth: number, overhead: number): WorkedGrit {
  const { pass } = rung
  const leaves = scratchLeft(pass)
  const removes = Math.max(0, depth)
  const ways = Array.from({ length: MOST_PIECES }, (_, index): WorkedGrit => {
    const pieces = index + 1
    return { rung, pieces, seconds: pieces * timeToRemove(pass, removes / pieces), removes, leaves, reaches: true }
  })
  const quickest = ways.reduce((best, way) => (costOf(way, overhead) < costOf(best, overhead) ? way : best))
  if (Number.isFinite(quickest.seconds)) return quickest
  const does = GIVEN_UP * capacity(pass)
  return { rung, pieces: 1, seconds: timeToRemove(pass, does), removes: does, leaves, reaches: false }
}

/** Time of a grit with its changes of paper and looks, s. */
export const costOf = ({ seconds, pieces }: WorkedGrit, overhead: number): number => seconds + pieces * overhead

/** The surface after a grit that was worked so: what was there is shallower, and its own scratches are new. */
export function afterGrit(surface: Surface, { rung, removes, leaves }: WorkedGrit): Surface {
  const left = surface.scratches
    .filter(scratch => scratch.origin !== rung.pass.origin)
    .map(scratch => ({ ...scratch, depth: scratch.depth - removes }))
    .filter(scratch => scratch.depth > 1e-6)
  return {
    scratches: [...left, { origin: rung.pass.origin, depth: leaves, way: 'around' }],
    removed: surface.removed + removes,
  }
}
