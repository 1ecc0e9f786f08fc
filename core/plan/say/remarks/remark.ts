/** Something a turner should know about a plan: what is so, and what to do about it. `gap`: the plan falls short until it is mended. */
export interface Remark {
  /** How much it weighs. */
  weight: 'gap' | 'note'
  /** What is so. */
  says: string
  /** What to do about it. */
  remedy: string
  /** The part of the shelf where it is mended. */
  shelf?: 'abrasives' | 'finishes'
}
