import { given, worked, type Figure, type Source } from '../figures'
import { barrelNames, type BarrelId, type Fitting } from './fitting'

export interface CutWishes {
  /** Spare wood at each end, mm. */
  perEnd: Figure
  /** Width of the saw cut, mm. */
  kerf: Figure
}

export interface Stick {
  /** Cut length of each barrel, tip first. */
  pieces: { barrel: BarrelId, length: Figure }[]
  /** The stick that gives them all, kerf between them included. */
  total: Figure
}

const TRADE: Source = { mark: 'trade', note: 'common practice: 1.6 mm at each end at least' }
const TEARS: Source = { mark: 'trade', note: 'common practice: 4 mm over in all for wood that tears' }
const KERF: Source = { mark: 'model', note: 'a fine saw; measure your own' }

/** Spare length and kerf as commonly used; more for wood that tears when drilled. */
export const usualCut = (tears: boolean): CutWishes => ({
  perEnd: tears ? given('spare at each end', 2, 'mm', TEARS) : given('spare at each end', 1.6, 'mm', TRADE),
  kerf: given('saw kerf', 1.2, 'mm', KERF),
})

/** The lengths to cut for one pen: each tube and its spare ends, and the one stick they are cut from. */
export function cutSticks(fitting: Fitting, wishes: CutWishes): Stick {
  const pieces = fitting.barrels.map((barrel) => {
    const tube = given(`tube of the ${barrelNames[barrel.id]}`, barrel.tubeLength, 'mm', fitting.source)
    const length = worked(`cut length, ${barrelNames[barrel.id]}`, tube.value + 2 * wishes.perEnd.value, 'mm', 'tube + 2 × spare', [tube, wishes.perEnd])
    return { barrel: barrel.id, length }
  })
  const sum = pieces.reduce((mm, piece) => mm + piece.length.value, 0) + (pieces.length - 1) * wishes.kerf.value
  const total = worked('stick for the pen', sum, 'mm', 'pieces + kerf between them', [...pieces.map(piece => piece.length), wishes.kerf])
  return { pieces, total }
}
