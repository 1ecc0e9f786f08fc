import type { Evidence } from './cause'
import type { CauseHistory } from './diagnose'

/** How often each piece of evidence holds for pens of a shop, by its id: of so many pens. */
export type UsualEvidence = Readonly<Record<string, { holds: number, of: number }>>

/** What a shop's own pens and defects tell of one kind of defect. */
export interface ShopHistory {
  /** What defects of that kind were judged to come from. */
  causes: CauseHistory
  /** What is usual there. */
  usual: UsualEvidence
}

/** The written rate counts as much as this many pens of one's own [model]. */
const WEIGHT = 8

/**
 * Evidence with its base rate as the shop's own pens have it: what holds for nearly all of them tells little when it holds, and much
 * when it does not. Few pens move the written rate little; what nothing is known of keeps it.
 */
export const asUsual = (evidence: readonly Evidence[], usual: UsualEvidence): Evidence[] =>
  evidence.map((one) => {
    const own = usual[one.id]
    return own ? { ...one, base: (one.base * WEIGHT + own.holds) / (WEIGHT + own.of) } : one
  })
