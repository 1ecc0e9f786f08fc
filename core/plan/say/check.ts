import type { DefectKind } from '../../defects'
import type { ExtraWork } from '../model'

/** One thing to look at before a step counts as good. */
export interface Check {
  /** Its name in the log. */
  id: string
  /** The question, so that “yes” is good. */
  ask: string
  /** What to do when the answer is no. */
  otherwise: string
  /** Defects that a no may tell of, the likeliest first, to be noted with their place. */
  defects?: readonly DefectKind[]
  /** What can be done about a no there and then; where there is something, nobody is asked at once what kind of defect it is. */
  acts?: readonly CheckAct[]
}

/** Something to do about a check that was answered no. */
export type CheckAct = {
  /** What the key says. */
  says: string
} & (
  | {
    /** Done beside the plan, */
    work: Exclude<ExtraWork, 'coat'>
    /** with this abrasive or product, by its id. */
    with: string
  }
  | {
    /** The wait goes on for so long, s. */
    wait: number
  }
)
