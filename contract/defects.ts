import type { Fitting } from '../core/barrel'
import type { DefectState } from '../core/bench'
import type { DefectKind, RepairWay, UsualEvidence } from '../core/defects'
import type { StepKind } from '../core/plan'
import type { Pen } from './pen'

/** A defect with the pen it is on. */
export interface ListedDefect extends Omit<DefectState, 'answers'> {
  /** On which pen. */
  pen: Pick<Pen, 'id' | 'mark' | 'name'>
  /** Its fitting, to draw it. */
  fitting: Fitting
  /** Its material, to draw it. */
  material: { id: string, name: string, colour: string, resin: boolean }
  /** The kind of step it was found at; null when nothing was left to do. */
  found: StepKind | null
}

/** What the shop's own defects tell. The demo's made-up ones do not count. */
export interface DefectHistory {
  /** How often each cause was judged, by kind of defect. */
  causes: Partial<Record<DefectKind, Record<string, number>>>
  /** How each way to mend went, by kind of defect. */
  ways: { kind: DefectKind, way: RepairWay, worked: number, failed: number }[]
  /** How often each piece of evidence holds for pens of this shop, whether there was a defect or not. */
  usual: UsualEvidence
}

/** One page of the defects over all pens, the latest first. */
export interface DefectPage {
  /** Its rows. */
  defects: ListedDefect[]
  /** Where the next page begins, to be handed back as `after`; null at the end. */
  next: string | null
}
