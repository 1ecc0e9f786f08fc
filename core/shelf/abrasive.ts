import { grainSize, type AbrasiveMark } from '../abrasives'
import { isResin, type Material } from './material'

/** An abrasive that is on the shelf, and whether it may be used wet or dry. */
export interface ShelfAbrasive extends AbrasiveMark {
  /** Its name in plans. */
  id: string
  /** Whether it is used wet, on films and resin. */
  wet: boolean
  /** Whether it is used dry, on bare wood. */
  dry: boolean
  /** How much of its life is gone, 0 fresh to 1 dull; fresh where nothing is said. */
  worn?: number
  /** How many pieces are there, the one in hand counted; absent when nobody counted. */
  count?: number
}

/** Its grain, µm: the one measure in which abrasives of all scales compare. */
export const grainOf = ({ scale, mark }: AbrasiveMark): number => grainSize(scale, mark)

/** The abrasives among these that are coarser than one, the finest first. */
export const coarserThan = (one: AbrasiveMark, among: readonly ShelfAbrasive[]): ShelfAbrasive[] =>
  among.filter(other => grainOf(other) > grainOf(one)).sort((a, b) => grainOf(a) - grainOf(b))

/** A cushioned pad, with a number or placed between two by its colour. */
export const isPad = ({ scale, between }: AbrasiveMark): boolean => scale === 'pad' || between !== undefined

/** What can level a film: wet paper or film. A cushioned pad rides over ridges. */
export const levels = (abrasive: ShelfAbrasive): boolean => abrasive.wet && !isPad(abrasive)

/** From this grain on resin is sanded wet, µm: about P600 and the pads [trade]. */
const WET_FROM = 30.5

/** Whether this abrasive is used wet on the bare blank: fine ones on resin, never on wood. */
export const sandsWet = (material: Material, abrasive: ShelfAbrasive): boolean =>
  isResin(material) && abrasive.wet && grainOf(abrasive) <= WET_FROM
