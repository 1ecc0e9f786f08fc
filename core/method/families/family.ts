import type { Material, MaterialClass } from '../../shelf'
import type { FinishFamily } from '../method'

/** Something that speaks for a finish on a material, asks for care, or speaks against it. */
export interface Reason {
  /** Which way it weighs. */
  weight: 'for' | 'care' | 'against'
  /** In words. */
  says: string
}

/** A family of finishes as turners know it, and how it goes with each kind of blank [trade]. */
export interface Family {
  /** Its name. */
  family: FinishFamily
  /** What it looks like. */
  looks: string
  /** When to choose it. */
  goodFor: string
  /** What it asks of the turner. */
  asks: string
  /** Classes of wood that want thin CA under it: its coats would carry their colour, or lift on their oil [trade]. */
  sealsFirst: readonly Extract<MaterialClass, 'bleeding' | 'oily'>[]
  /** What speaks for and against it on a material. */
  suits: (material: Material) => Reason[]
}

/** A reason to choose it. */
export const speaksFor = (says: string): Reason => ({ weight: 'for', says })
/** A reason to take care. */
export const askCare = (says: string): Reason => ({ weight: 'care', says })
/** A reason to choose another. */
export const against = (says: string): Reason => ({ weight: 'against', says })

/** The reasons whose condition holds. */
export const reasons = (...all: [boolean, Reason][]): Reason[] => all.flatMap(([holds, reason]) => (holds ? [reason] : []))
