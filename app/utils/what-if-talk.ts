import type { Plan } from '../../core/plan'
import type { Hand, Played, Share } from '../../core/simulate'

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

/** What it answers: how each came out so far, or what matters. */
export type ToldWhatIf
  = | { kind: 'play', number: number, all: readonly Played[] }
    | { kind: 'matters', number: number, of: Result, shares: readonly Share[] }
