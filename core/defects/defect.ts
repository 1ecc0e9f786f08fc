import type { BarrelId } from '../barrel'

/** A defect by how it looks. */
export type DefectKind = 'chip' | 'crack' | 'void' | 'ring scratches' | 'ridges' | 'white dots' | 'sand-through'

/** A defect as it was noted: on which barrel, how far from its tip end, how large; lengths in mm. */
export interface Defect {
  id: string
  kind: DefectKind
  barrel: BarrelId
  fromTip: number
  size: number
}

/** One row of the catalogue. */
export interface DefectEntry {
  kind: DefectKind
  name: string
  shows: string
  mend: string
  avoid: string
}
