import type { MoistureReading } from '../climate'
import type { PlanTrace } from './trace'

/** A blank of the shelf as a plan takes it; lengths in mm. What is not known is absent. */
export interface Blank {
  id: string
  name: string
  /** Sides of its section, and its length. */
  width?: number
  height?: number
  length?: number
  /** It came in wet, or nobody knows. */
  damp: boolean
  readings: readonly MoistureReading[]
}

/** A blank as the shelf keeps it: what is not known is null. */
export interface KeptBlank extends Pick<Blank, 'id' | 'name' | 'damp'> {
  width: number | null
  height: number | null
  length: number | null
  readings: readonly (MoistureReading & { id: string })[]
}

/** A blank of the shelf as a plan takes it. */
export function planBlank({ id, name, width, height, length, damp, readings }: KeptBlank): Blank {
  return {
    id, name, damp,
    ...(width !== null ? { width } : {}), ...(height !== null ? { height } : {}), ...(length !== null ? { length } : {}),
    readings: readings.map(({ id: _, ...reading }) => reading),
  }
}

/** Something a blank falls short of. */
export interface BlankFault {
  what: 'thin' | 'short'
  says: string
  remedy: string
}

/** Whether a blank is thick and long enough for a pen; nothing where its size is not known. */
export function blankFaults(blank: Blank, whole: PlanTrace, mm: (value: number) => string): BlankFault[] {
  const found: BlankFault[] = []
  const thin = thinnestSide(blank)
  const { section } = whole.size
  if (thin !== undefined && thin < section.value) {
    const barrel = whole.size.barrels.reduce((a, b) => b.section.side.value > a.section.side.value ? b : a)
    // The bore may still come out where it must: what is left for the bit to wander.
    const spare = (thin - (section.value - 2 * barrel.section.wander.value)) / 2
    found.push({
      what: 'thin',
      says: `${blank.name} is ${mm(thin)} thick; ${mm(section.value)} square is needed.`,
      remedy: spare > 0
        ? `It will do if the bit comes out within ${mm(spare)} of the middle: centre it with care, or choose a slimmer shape.`
        : 'The barrel does not fit into it: choose a thicker blank, a slimmer shape or another fitting.',
    })
  }
  const total = whole.stick.total.value
  if (blank.length !== undefined && blank.length < total) {
    const bare = whole.stick.pieces.length > 1 ? 'Cut each barrel from a piece of its own, or choose a longer blank.' : 'Choose a longer blank, or leave less spare wood at the ends.'
    found.push({ what: 'short', says: `${blank.name} is ${mm(blank.length)} long; the stick for this pen is ${mm(total)}.`, remedy: bare })
  }
  return found
}

export function thinnestSide({ width, height }: Pick<Blank, 'width' | 'height'>): number | undefined {
  if (width === undefined && height === undefined) return undefined
  return Math.min(width ?? Infinity, height ?? Infinity)
}
