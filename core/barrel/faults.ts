import { trimmed } from '../format'
import type { Barrel, Fitting } from './fitting'

/** What cannot be about a fitting: which field, what is wrong, what would be right. */
export interface FittingFault {
  /** The field by its path: `bit`, `barrels[0].tipEnd`. */
  field: string
  /** What is wrong, and what would do. */
  says: string
}

/** Longest tube and widest metal that anybody turns a pen on, mm [model]: beyond it a figure is a slip of the pen. */
export const LONGEST_TUBE = 200
export const WIDEST_METAL = 40
/** A bit may be this much wider than its tube, mm, before no glue fills the gap [model]. */
const WIDEST_GAP = 1

const shown = (mm: number): string => `${trimmed(mm, 2)} mm`

/**
 * Everything about a fitting that no lathe could make: zero and absurd sizes, a tube that does not go into its bore, metal or bushings
 * inside the tube.
 */
export function fittingFaults(fitting: Pick<Fitting, 'bit' | 'barrels'>): FittingFault[] {
  const found: FittingFault[] = []
  const range = (field: string, value: number, most: number, what: string) => {
    if (!(value > 0)) found.push({ field, says: `${what} should be above 0.` })
    else if (value > most) found.push({ field, says: `${shown(value)} is more than a pen has: enter up to ${shown(most)}.` })
  }
  range('bit', fitting.bit, WIDEST_METAL, 'The bit')
  fitting.barrels.forEach((barrel, index) => {
    const at = (field: string) => `barrels[${index}].${field}`
    range(at('tubeLength'), barrel.tubeLength, LONGEST_TUBE, 'The tube’s length')
    range(at('tubeOuter'), barrel.tubeOuter, WIDEST_METAL, 'The tube’s outside')
    range(at('tipEnd'), barrel.tipEnd, WIDEST_METAL, 'The metal')
    range(at('clipEnd'), barrel.clipEnd, WIDEST_METAL, 'The metal')
    if (barrel.bit !== undefined) range(at('bit'), barrel.bit, WIDEST_METAL, 'The bit')
    found.push(...gapFaults(fitting.bit, barrel, at), ...wallFaults(barrel, at))
  })
  const seen = new Set<string>()
  return found.filter(fault => !seen.has(fault.field) && seen.add(fault.field))
}

function gapFaults(fittingBit: number, barrel: Barrel, at: (field: string) => string): FittingFault[] {
  const bit = barrel.bit ?? fittingBit
  const field = barrel.bit === undefined ? 'bit' : at('bit')
  if (bit < barrel.tubeOuter)
    return [
      {
        field,
        says: `A tube of ${shown(barrel.tubeOuter)} does not go into a bore of ${shown(bit)}: choose a bit of `
          + `${shown(barrel.tubeOuter)} or a little over.`,
      },
    ]
  if (bit > barrel.tubeOuter + WIDEST_GAP)
    return [
      {
        field,
        says: `A bore of ${shown(bit)} leaves ${shown(bit - barrel.tubeOuter)} of play round a tube of ${shown(barrel.tubeOuter)}, `
          + `more than glue fills: choose a bit up to ${shown(barrel.tubeOuter + WIDEST_GAP)}.`,
      },
    ]
  return []
}

function wallFaults(barrel: Barrel, at: (field: string) => string): FittingFault[] {
  const found: FittingFault[] = []
  const inside = (field: string, value: number, what: string) => {
    if (value > 0 && value <= barrel.tubeOuter)
      found.push({
        field,
        says: `${what} of ${shown(value)} lies inside a tube of ${shown(barrel.tubeOuter)}: no wall is left. Measure it again.`,
      })
  }
  inside(at('tipEnd'), barrel.tipEnd, 'Metal')
  inside(at('clipEnd'), barrel.clipEnd, 'Metal')
  for (const end of ['tip', 'clip'] as const) {
    const bushing = barrel.bushings?.[end]
    if (bushing === undefined) continue
    const field = at(`bushings.${end}`)
    if (!(bushing > 0)) found.push({ field, says: 'The bushing should be above 0, or be left empty.' })
    else if (bushing > WIDEST_METAL)
      found.push({ field, says: `${shown(bushing)} is more than a pen has: enter up to ${shown(WIDEST_METAL)}.` })
    inside(field, bushing, 'A bushing')
  }
  return found
}
