import type { Surface } from './surface'
import { capacity, fresh, scratchLeft, timeConstant, timeToRemove, type Pass } from './work'

/** One abrasive of the stock that may be worked with. */
export interface Rung {
  /** Its name in the stock. */
  id: string
  /** The conditions it is used under; a worn one is the piece in hand, further ones are fresh. */
  pass: Pass
  /** Its change, wipe and look, s, where they are not those of the others. */
  overhead?: number
  /** How many pieces there are, the one in hand counted; as many as are wanted where nobody counted. A pad is rinsed instead. */
  stock?: number
}

/** One grit as it is worked: what it takes off, how long that takes, and whether it gets there. */
export interface WorkedGrit {
  /** Which abrasive. */
  rung: Rung
  /** Sanding time of all pieces together, s, without the overhead. */
  seconds: number
  /** Pieces of abrasive, each worn out but the last; of a pad, how often it is taken up rinsed. */
  pieces: number
  /** Sanding time of each of them, s. */
  times: readonly number[]
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
 * How one abrasive is worked on scratches of `depth` µm: the piece in hand first, then fresh ones, as many as make it quickest, each
 * costing `overhead` s besides (or as the rung has it), no more than are there; or given up where three of them cannot. The one rule for
 * a plan, for the search and for the review of a ladder.
 */
export function workGrit(rung: Rung, depth: number, overhead: number): WorkedGrit {
  const leaves = scratchLeft(rung.pass)
  const removes = Math.max(0, depth)
  const most = rung.pass.pad ? MOST_PIECES : Math.min(MOST_PIECES, Math.max(1, rung.stock ?? MOST_PIECES))
  const ways = Array.from({ length: most }, (_, index) => index + 1).flatMap((pieces): WorkedGrit[] => {
    const times = shared(rung.pass, pieces, removes)
    return times ? [{ rung, pieces, times, seconds: sum(times), removes, leaves, reaches: true }] : []
  })
  const [first, ...others] = ways
  if (first) return others.reduce((best, way) => (costOf(way, overhead) < costOf(best, overhead) ? way : best), first)
  const does = GIVEN_UP * capacity(rung.pass)
  const seconds = timeToRemove(rung.pass, does)
  return { rung, pieces: 1, times: [seconds], seconds, removes: does, leaves, reaches: false }
}

/** A few strokes with a piece, so many `seconds` of them: what they take of `depth` µm. Nobody waits for it to be gone. */
export function fewStrokes(rung: Rung, depth: number, seconds: number): WorkedGrit {
  const removes = Math.min(Math.max(0, depth), capacity(rung.pass) * (1 - Math.exp(-seconds / timeConstant(rung.pass))))
  return { rung, pieces: 1, times: [seconds], seconds, removes, leaves: scratchLeft(rung.pass), reaches: true }
}

/**
 * Seconds with each of so many pieces, the one in hand and fresh ones, for them to take off `depth` µm together soonest: each is left
 * when it cuts no better than the others will, so that all end with the same depth still in them; one that is duller than that is put
 * down at once. Undefined where they cannot.
 */
function shared(pass: Pass, pieces: number, depth: number): number[] | undefined {
  const [inHand, further] = [capacity(pass), capacity(fresh(pass))]
  const leftIn = (count: number, all: number) => (count > 0 ? (all - depth) / count : 0)
  const together = leftIn(pieces, inHand + (pieces - 1) * further)
  const dull = inHand < together
  const left = dull ? leftIn(pieces - 1, (pieces - 1) * further) : together
  if (left <= 0) return undefined
  const tau = timeConstant(pass)
  return Array.from({ length: pieces }, (_, at) => tau * Math.log(at > 0 ? further / left : dull ? 1 : inHand / left))
}

const sum = (all: readonly number[]): number => all.reduce((total, one) => total + one, 0)

/** Time of a grit with its changes of paper and looks, s. */
export const costOf = ({ seconds, pieces, rung }: WorkedGrit, overhead: number): number => seconds + pieces * (rung.overhead ?? overhead)

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
