import type { BarrelId } from '../barrel'

/** Every defect that turners tell apart, by how it looks. */
export const defectKinds = [
  'chip',
  'crack',
  'void',
  'ring scratches',
  'heat checks',
  'ridges',
  'white dots',
  'foam',
  'sand-through',
  'bleed',
  'lifting',
  'chipped end',
  'soft film',
  'fish-eyes',
  'blush',
  'step',
  'oval',
  'mechanism',
  'crumb',
] as const
export type DefectKind = (typeof defectKinds)[number]

/** How far a pen is when a defect is found. “Ends” is before it is pressed, “together” after. */
export const workStages = ['blank', 'turn', 'sand', 'clean', 'coat', 'level', 'ends', 'together'] as const
export type WorkStage = (typeof workStages)[number]

/** A defect as it was noted: on which barrel, how far from its tip end, how large; lengths in mm. */
export interface Defect {
  /** The id of its entry. */
  id: string
  /** What it is. */
  kind: DefectKind
  /** On which barrel. */
  barrel: BarrelId
  /** Distance from the tip end of the barrel, mm. */
  fromTip: number
  /**
   * Degrees around from the side that faces the turner with the witness mark up, 0 to 359; absent when it goes all round or nobody
   * said.
   */
  around?: number
  /** How large it is, mm. */
  size: number
}

/** One row of the catalogue. */
export interface DefectEntry {
  /** Which. */
  kind: DefectKind
  /** What it is called on the screen. */
  name: string
  /** How one knows it. */
  shows: string
  /** What is usually done about it. */
  mend: string
  /** What keeps it away. */
  avoid: string
  /** Where it can be found at all. */
  stages: readonly WorkStage[]
  /** A usual size to begin with, mm, and whether it goes all round. */
  usual: number
  /** Whether it goes all round the barrel. */
  allRound: boolean
}

/** The rows of the catalogue that can be found at a stage, in their order. */
export const foundAt = (entries: readonly DefectEntry[], stage: WorkStage): DefectEntry[] =>
  entries.filter(entry => entry.stages.includes(stage))
