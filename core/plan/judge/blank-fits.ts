import { thinnestSide, type Blank } from '../../shelf'
import type { PlanTrace } from '../trace'

/** Something a blank falls short of. */
export interface BlankFault {
  /** Which way. */
  what: 'thin' | 'short'
  /** By how much. */
  says: string
  /** What can be done. */
  remedy: string
}

/** Whether a blank is thick and long enough for a pen; nothing where its size is not known. `mm` writes a length. */
export const blankFaults = (blank: Blank, whole: PlanTrace, mm: (value: number) => string): BlankFault[] =>
  [tooThin(blank, whole, mm), tooShort(blank, whole, mm)].flatMap(fault => fault ?? [])

function tooThin(blank: Blank, { size }: PlanTrace, mm: (value: number) => string): BlankFault | undefined {
  const side = thinnestSide(blank)
  if (side === undefined || side >= size.section.value) return undefined
  const spare = boreSpare(side, size)
  return {
    what: 'thin',
    says: `${blank.name} is ${mm(side)} thick; ${mm(size.section.value)} square is needed.`,
    remedy: spare > 0
      ? `It will do if the bit comes out within ${mm(spare)} of the middle: centre it with care, or choose a slimmer shape.`
      : 'The barrel does not fit into it: choose a thicker blank, a slimmer shape or another fitting.',
  }
}

/** How far off the middle the bore of the fattest barrel may come out of a blank of this side, mm; below 0 it does not fit at all. */
export function boreSpare(side: number, { barrels }: PlanTrace['size']): number {
  const slims = barrels.map(({ section }) => section.side.value - 2 * section.wander.value)
  return (side - Math.max(...slims)) / 2
}

function tooShort({ name, length }: Blank, { stick }: PlanTrace, mm: (value: number) => string): BlankFault | undefined {
  if (length === undefined || length >= stick.total.value) return undefined
  const says = `${name} is ${mm(length)} long; the stick for this pen is ${mm(stick.total.value)}.`
  const remedy = stick.pieces.length > 1
    ? 'Cut each barrel from a piece of its own, or choose a longer blank.'
    : 'Choose a longer blank, or leave less spare wood at the ends.'
  return { what: 'short', says, remedy }
}
