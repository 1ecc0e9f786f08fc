import type { Block, DueChance, EveningProblem, Evenings, FirstUp, Slack } from '../../core/evening'

/** How a plan is wanted. */
interface AskedPlan {
  /** What comes first is wanted, not the chances of all. */
  brief: boolean
  /** The order that was shown before; it stays unless another has pens finished sooner by more than `enough` s in all. */
  shown?: readonly Pick<Block, 'pen' | 'step'>[]
  /** See `shown`. */
  enough: number
  /** The turner asked that it be looked for longer. */
  longer?: boolean
}

/** What is asked of the worker that plans evenings. */
export type AskedEvenings
  /** Plan this. */
  = | ({ kind: 'plan', number: number, problem: EveningProblem } & AskedPlan)
  /** No more is to be looked for: the best so far will do. */
    | { kind: 'stop', number: number }
  /**
   * What this would come to beside the order that is `shown`: a good answer at once; `plays`: with when each pen is finished nine times in
   * ten.
   */
    | { kind: 'aside', number: number, problem: EveningProblem, plays: boolean, shown: readonly Pick<Block, 'pen' | 'step'>[] }

/** What it answers. */
export type ToldEvenings
  /**
   * The best so far; `rests`: it has stopped looking for a better one; `gone`: the part of the time it may take that is gone, 0 to 1; in
   * brief with what comes first.
   */
  = | { kind: 'plan', number: number, plan: Evenings, rests: boolean, gone: number, first: FirstUp | undefined }
  /** How likely all promises of each time (s) are kept, and what must not be late. */
    | { kind: 'chances', number: number, byDue: DueChance[], tight: Slack[] }
    | { kind: 'aside', number: number, plan: Evenings, finished: [string, number][] }
