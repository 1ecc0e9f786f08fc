import type { Material } from '../inputs'
import type { FinishFamily } from '../method'

/** Something that speaks for a finish on a material, asks for care, or speaks against it. */
export interface Reason {
  weight: 'for' | 'care' | 'against'
  says: string
}

/** A family of finishes as turners know it, and how it goes with each kind of blank [trade]. */
export interface Family {
  family: FinishFamily
  looks: string
  goodFor: string
  /** What it asks of the turner. */
  asks: string
  /** What speaks for and against it on a material. */
  suits: (material: Material) => Reason[]
}

export const speaksFor = (says: string): Reason => ({ weight: 'for', says })
export const askCare = (says: string): Reason => ({ weight: 'care', says })
export const against = (says: string): Reason => ({ weight: 'against', says })

/** The reasons whose condition holds. */
export const reasons = (...all: [boolean, Reason][]): Reason[] => all.flatMap(([holds, reason]) => holds ? [reason] : [])
