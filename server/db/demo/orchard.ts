import type { DefectKind } from '../../../core/defects'
import type { NewPen } from '../../../schemas'

/**
 * The orchard scenario: the Harrow Lane orchard is grubbed up after a hundred and ten years, and its association wants fourteen pens
 * from the old trees for a harvest supper. All names, dates and readings are invented.
 */
export interface DemoPen extends Pick<NewPen, 'mark' | 'name' | 'fitting' | 'material'> {
  /** Planned by which method, where it is not the usual one. */
  method?: NewPen['method']
  /** What it is turned with. */
  tool?: NewPen['tool']
  /** How thick its film is to be. */
  film?: NewPen['film']
  /** The blank it is cut from, by its key in the demo's stock. */
  blank?: string
  /** The last step entered, and how many minutes ago; a pen without has not been begun. */
  upTo?: string
  /** When its last step was done, minutes before now. */
  minutesAgo?: number
  /** A defect that was found, judged and mended on the way. */
  flaw?: {
    /** What it was. */
    kind: DefectKind
    /** On which barrel. */
    barrel: 'lower' | 'upper' | 'only'
    /** Distance from the tip end of the barrel, mm. */
    fromTip: number
    /** Where around it, degrees from the witness mark. */
    around: number
    /** How large it was, mm. */
    size: number
    /** The step at which it was found. */
    atStep: string
    /** The id of the cause that was judged to be behind it. */
    cause: string
  }
}

export const orchardPens: readonly DemoPen[] = [
  {
    mark: 'A1',
    name: 'Apple from the gate',
    fitting: 'click-8',
    material: 'apple',
    upTo: 'check',
    minutesAgo: 2900,
    flaw: { kind: 'chip', barrel: 'only', fromTip: 57, around: 320, size: 0.6, atStep: 'turn', cause: 'ends inward' },
  },
  {
    mark: 'A2',
    name: 'Holly, hedge end',
    fitting: 'cap-9',
    material: 'holly',
    upTo: 'polish',
    minutesAgo: 95,
    flaw: { kind: 'white dots', barrel: 'only', fromTip: 23, around: 15, size: 3, atStep: 'coat.2', cause: 'dust' },
  },
  { mark: 'A3', name: 'Pear by the well', fitting: 'click-8', material: 'pear', upTo: 'turn', minutesAgo: 6 },
  { mark: 'A4', name: 'Quince', fitting: 'cap-9', material: 'quince', upTo: 'tube', minutesAgo: 48 },
  { mark: 'B1', name: 'Medlar, south row', fitting: 'twist-7', material: 'medlar', upTo: 'coat.last', minutesAgo: 2 },
  { mark: 'B2', name: 'Hawthorn from the hedge', fitting: 'click-8', material: 'hawthorn', blank: 'hawthorn' },
  { mark: 'B3', name: 'Cherry-plum', fitting: 'twist-7', material: 'cherry-plum', method: 'friction-polish' },
  { mark: 'B4', name: 'Windfall burr and green resin', fitting: 'twist-10', material: 'burr-resin', blank: 'burr', tool: 'round carbide' },
  { mark: 'C1', name: 'Plum, north row', fitting: 'twist-7', material: 'plum', film: 'close' },
  { mark: 'C2', name: 'Damson, two-barrel twist', fitting: 'twist-10', material: 'damson', blank: 'damson', upTo: 'coat.4', minutesAgo: 1 },
  { mark: 'C3', name: 'Apple burr', fitting: 'cap-9', material: 'apple-burr', method: 'sealer-lacquer-wax', tool: 'round carbide' },
  { mark: 'C4', name: 'Spalted apple', fitting: 'click-8', material: 'spalted-apple', film: 'close' },
  { mark: 'D1', name: 'Plum and holly, laminated', fitting: 'click-8', material: 'plum-holly', method: 'ca-thin-staged' },
  { mark: 'D2', name: 'Second windfall burr', fitting: 'cap-9', material: 'burr-resin', tool: 'square carbide' },
]

export const orchardReason = 'Harvest supper, Harrow Lane orchard'
