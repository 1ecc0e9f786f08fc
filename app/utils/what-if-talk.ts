import type { Plan } from '../../core/plan'
import type { Causes, Foreseen, Hand, Played, Share } from '../../core/simulate'

/** Of which result it is asked what it depends on. */
export const results = ['film', 'hands', 'ready'] as const
/** One of them. */
export type Result = (typeof results)[number]

/** A plan as it is to be played. */
export interface ToPlay {
  /** What is made. */
  plan: Plan
  /** By whom. */
  hand: Hand
}

/** What is asked of the worker that plays plans. */
export type AskedWhatIf
  /** Play these side by side. */
  = | { kind: 'play', number: number, all: readonly ToPlay[], runs: number }
  /** What the result of one depends on most. */
    | ({ kind: 'matters', number: number, of: Result } & ToPlay)
  /** What kinds of defect the causes speak for in these; `shop` is what the shop's own pens add. */
    | { kind: 'foresee', number: number, all: readonly ToPlay[], shop: Pick<Causes, 'judged' | 'usual'> }

/** What it answers: how each came out so far, what matters, or how often what is to be reckoned with. */
export type ToldWhatIf
  = | { kind: 'play', number: number, all: readonly Played[] }
    | { kind: 'matters', number: number, of: Result, shares: readonly Share[] }
    | { kind: 'foresee', number: number, all: readonly Foreseen[] }
