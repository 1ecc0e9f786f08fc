import { nth } from '../sure'
import { given, worked, type Figure, type Source } from '../figures'
import { barrelNames, type BarrelId, type Fitting } from './fitting'

export interface CutWishes {
  /** Spare wood at each end, mm. */
  perEnd: Figure
  /** Width of the saw cut, mm. */
  kerf: Figure
}

/** One cut on the stick: where its kerf begins, in mm from the tip end of the stick. */
export interface Cut {
  /** Where its kerf begins, mm from the tip end of the stick. */
  at: number
  /** `middle`: between the barrels of one pen, through the witness mark. `off`: parts the pen from what is left of the stick. */
  what: 'middle' | 'off'
}

export interface Stick {
  /** Cut length of each barrel, tip first, and where it begins on the stick, mm. */
  pieces: { barrel: BarrelId, length: Figure, from: number }[]
  /** The stick that gives them all, kerf between them included. */
  total: Figure
  /** The cuts in the order they are made: the pen off the stick first, so that its barrels stay one piece, and marked, until the last. */
  cuts: Cut[]
  /** Where the witness mark is drawn across, mm from the tip end: over the middle cut, or over the tip end of a single barrel. */
  witness: number
  /** What each cut takes, mm. */
  kerf: number
}

const TRADE: Source = { mark: 'trade', note: 'common practice: 1.6 mm at each end at least' }
const TEARS: Source = { mark: 'trade', note: 'common practice: 4 mm over in all for wood that tears' }
const KERF: Source = { mark: 'model', note: 'a fine saw; measure your own' }

/** A turner's own ways of cutting, where they are not the usual ones; mm. */
export interface CutHabits {
  /** Left over at each end of a barrel for squaring, mm; null: as usual. */
  perEnd?: number | null
  /** What a cut takes, mm; null: as usual. */
  kerf?: number | null
}

/** Spare length and kerf: the turner's own, else as commonly used; more for wood that tears when drilled. */
export function usualCut(tears: boolean, own: CutHabits = {}): CutWishes {
  const usual = tears ? given('spare at each end', 2, 'mm', TEARS) : given('spare at each end', 1.6, 'mm', TRADE)
  return {
    perEnd: own.perEnd != null ? given('spare at each end', own.perEnd, 'mm') : usual,
    kerf: own.kerf != null ? given('saw kerf', own.kerf, 'mm') : given('saw kerf', 1.2, 'mm', KERF),
  }
}

/**
 * The lengths to cut for one pen, the order of the cuts, and the one stick they come from: each tube and its spare ends, kerf between
 * two pieces.
 */
export function cutSticks(fitting: Fitting, wishes: CutWishes): Stick {
  const kerf = wishes.kerf.value
  let from = 0
  const pieces = fitting.barrels.map((barrel) => {
    const tube = given(`tube of the ${barrelNames[barrel.id]}`, barrel.tubeLength, 'mm', fitting.source)
    const length = worked(`cut length, ${barrelNames[barrel.id]}`, tube.value + 2 * wishes.perEnd.value, 'mm', 'tube + 2 × spare', [
      tube,
      wishes.perEnd,
    ])
    const piece = { barrel: barrel.id, length, from }
    from += length.value + kerf
    return piece
  })
  const sum = from - kerf
  const total = worked('stick for the pen', sum, 'mm', 'pieces + kerf between them', [...pieces.map(piece => piece.length), wishes.kerf])
  const middles = pieces.slice(0, -1).map((piece): Cut => ({ at: piece.from + piece.length.value, what: 'middle' }))
  return { pieces, total, cuts: [{ at: sum, what: 'off' }, ...middles], witness: middles.length ? nth(middles, 0).at + kerf / 2 : 0, kerf }
}

/** How many pens a stick of this length gives, and what it leaves over, mm. The last cut needs no kerf when it ends the stick. */
export function stickGives(stick: Stick, lengthMm: number): { pens: number, over: number } {
  const each = stick.total.value + stick.kerf
  const pens = Math.max(0, Math.floor((lengthMm + stick.kerf) / each + 1e-9))
  return { pens, over: Math.max(0, lengthMm - pens * each) }
}
