import type { Block, EveningProblem, Evenings, Slack } from '../../core/evening'

/** What is asked of the worker that plans evenings. */
export type AskedEvenings
  /** Plan this; what was shown before is kept where it is about as good. `brief`: what comes first is wanted, not the chances of all. */
  = | { kind: 'plan', number: number, problem: EveningProblem, brief: boolean, shown?: readonly Pick<Block, 'pen' | 'step'>[] }
  /** What this would come to: a good answer at once; `plays`: with when each pen is finished nine times in ten. */
    | { kind: 'aside', number: number, problem: EveningProblem, plays: boolean }

/** What it answers. */
export type ToldEvenings
  /** The best so far; `rests`: it has stopped looking for a better one. */
  = | { kind: 'plan', number: number, plan: Evenings, rests: boolean }
  /** How likely all promises of each time (s) are kept, and what must not be late. */
    | { kind: 'chances', number: number, byDue: { due: number, kept: number }[], tight: Slack[] }
    | { kind: 'aside', number: number, plan: Evenings, finished: [string, number][] }
