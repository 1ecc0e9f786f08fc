import type { Cause, Evidence, Finding } from './cause'
import type { DefectKind } from './defect'
import { candidatesOf, likelihood, type CauseHistory } from './diagnose'

/**
 * How many times as often as on a usual pen a kind of defect is to be reckoned with, where this is known of a pen before it is made: each
 * cause by its prior, and as much likelier as what is known holds oftener under it than on pens at large (Bayes’ rule the other way
 * round, with the same tables as `diagnose`, evidence taken as independent). 1 where nothing that is known speaks.
 */
export function timesAsOften(
  kind: DefectKind,
  causes: readonly Cause[],
  evidence: readonly Evidence[],
  findings: readonly Pick<Finding, 'evidence' | 'holds'>[],
  history: CauseHistory = {},
): number {
  const bases = new Map(evidence.map(one => [one.id, one.base]))
  const known = [...new Map(findings.map(one => [one.evidence, one.holds]))].filter(([id]) => bases.has(id))
  return candidatesOf(kind, causes, history).reduce((sum, { cause, prior }) => {
    const telling = known.filter(([id]) => id in cause.speaks)
    return sum + telling.reduce((so, [id, holds]) => so * likelihood(cause, id, holds, bases) / atLarge(id, holds, bases), prior)
  }, 0)
}

/** How often it is so on any pen; never quite never, as under a cause. */
function atLarge(id: string, holds: boolean, bases: ReadonlyMap<string, number>): number {
  const base = Math.min(0.98, Math.max(0.02, bases.get(id) ?? 0.5))
  return holds ? base : 1 - base
}
