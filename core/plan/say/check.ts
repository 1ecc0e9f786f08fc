import type { DefectKind } from '../../defects'

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
}
