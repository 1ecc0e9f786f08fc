import { must, nth } from '../sure'
import { OTHER, type Cause, type Evidence, type Finding } from './cause'
import type { DefectKind } from './defect'

/** A cause with how likely it is, and what speaks for and against it; the strongest first. */
export interface RankedCause {
  /** Its id in the catalogue. */
  id: string
  /** What happened, in a sentence. */
  says: string
  /** What to do differently next time. */
  avoid: string
  /** How likely it is the one, 0 to 1; all together make 1. */
  chance: number
  /** What speaks for it. */
  for: Finding[]
  /** What speaks against it. */
  against: Finding[]
}

export interface Diagnosis {
  /** Likely ones first. */
  causes: RankedCause[]
  /** The question whose answer would tell the causes apart best; absent when none would tell much. */
  question?: Evidence
}

/** How often each cause was judged to be behind this kind of defect on other pens of the shop. */
export type CauseHistory = Readonly<Record<string, number>>

/** Part of all defects whose cause is none of those written down [model]. */
export const OTHER_PRIOR = 0.1
/** The written priors count as much as this many judged defects of one's own [model]. */
export const PRIOR_WEIGHT = 8
/** A piece of evidence is told with a cause when it moves its odds by more than this factor. */
const TELLS = 1.05
/** A question is asked when it is expected to tell at least this much, in bits. */
const WORTH_ASKING = 0.02

interface Candidate {
  cause: Cause
  prior: number
}

/**
 * What may have caused a defect of this kind, by Bayes' rule with evidence taken as independent given the cause: chance ∝ prior × Π
 * likelihoods. The priors move with the shop's own history. Evidence that none of the kind's causes names changes nothing; of several
 * findings of one piece of evidence the last counts. `answered` are questions that were put already, “not known” among them.
 */
export function diagnose(
  kind: DefectKind,
  causes: readonly Cause[],
  evidence: readonly Evidence[],
  findings: readonly Finding[],
  history: CauseHistory = {},
  answered: ReadonlySet<string> = new Set(),
): Diagnosis {
  const known = [...new Map(findings.map(finding => [finding.evidence, finding])).values()]
  const candidates = candidatesOf(kind, causes, history)
  const bases = new Map(evidence.map(one => [one.id, one.base]))
  const telling = known.filter(finding => bases.has(finding.evidence) && candidates.some(({ cause }) => finding.evidence in cause.speaks))
  const posterior = chances(candidates, telling, bases)
  const ranked = candidates.map(({ cause }, index): RankedCause => {
    const ratios = telling
      .filter(finding => finding.evidence in cause.speaks)
      .map(finding => ({ finding, ratio: ratioOf(candidates, posterior, index, finding, bases) }))
    const strongest = (found: typeof ratios) =>
      found.sort((a, b) => Math.abs(Math.log(b.ratio)) - Math.abs(Math.log(a.ratio))).map(one => one.finding)
    return {
      id: cause.id,
      says: cause.says,
      avoid: cause.avoid,
      chance: nth(posterior, index),
      for: strongest(ratios.filter(one => one.ratio > TELLS)),
      against: strongest(ratios.filter(one => one.ratio < 1 / TELLS)),
    }
  })
  const question = bestQuestion(candidates, posterior, evidence, new Set([...known.map(one => one.evidence), ...answered]), bases)
  return { causes: ranked.sort((a, b) => b.chance - a.chance || (a.id < b.id ? -1 : 1)), ...(question ? { question } : {}) }
}

/** The causes of a kind and “something else”, with priors that add up to 1 and have moved with the shop's own history. */
export function candidatesOf(kind: DefectKind, causes: readonly Cause[], history: CauseHistory): Candidate[] {
  const own = causes.filter(cause => cause.kind === kind)
  const sum = own.reduce((total, cause) => total + cause.prior, 0)
  const other: Cause = { id: OTHER, kind, says: 'Something else', avoid: '', prior: OTHER_PRIOR, speaks: {} }
  const written = [
    ...own.map(cause => ({ cause, prior: (cause.prior / sum) * (1 - OTHER_PRIOR) })),
    { cause: other, prior: own.length ? OTHER_PRIOR : 1 },
  ]
  const judged = written.map(({ cause }) => Math.max(0, history[cause.id] ?? 0))
  const all = judged.reduce((total, count) => total + count, 0)
  return written.map(({ cause, prior }, index) => ({ cause, prior: (prior * PRIOR_WEIGHT + nth(judged, index)) / (PRIOR_WEIGHT + all) }))
}

/** How often a piece of evidence holds under a cause; never quite never and never quite always, for logs and memories err. */
export function likelihood(cause: Cause, evidence: string, holds: boolean, bases: ReadonlyMap<string, number>): number {
  const often = Math.min(0.98, Math.max(0.02, cause.speaks[evidence] ?? must(bases.get(evidence), 'every evidence asked for has a base')))
  return holds ? often : 1 - often
}

function chances(
  candidates: readonly Candidate[],
  findings: readonly Pick<Finding, 'evidence' | 'holds'>[],
  bases: ReadonlyMap<string, number>,
): number[] {
  const weights = candidates.map(({ cause, prior }) =>
    findings.reduce((weight, { evidence, holds }) => weight * likelihood(cause, evidence, holds, bases), prior),
  )
  const sum = weights.reduce((total, weight) => total + weight, 0)
  return weights.map(weight => weight / sum)
}

/** By what factor a finding moves the odds of one cause against all the others, which count as much as they are likely. */
function ratioOf(
  candidates: readonly Candidate[],
  posterior: readonly number[],
  index: number,
  { evidence, holds }: Finding,
  bases: ReadonlyMap<string, number>,
): number {
  const others = candidates.map(({ cause }, at) => (at === index ? 0 : nth(posterior, at) / likelihood(cause, evidence, holds, bases)))
  const before = others.reduce((sum, weight) => sum + weight, 0)
  if (before <= 0) return 1
  const elsewhere = candidates.reduce(
    (sum, { cause }, at) => sum + (nth(others, at) / before) * likelihood(cause, evidence, holds, bases),
    0,
  )
  return likelihood(nth(candidates, index).cause, evidence, holds, bases) / elsewhere
}

/**
 * The question with the greatest expected gain: by how much the doubt among the causes (entropy, bits) shrinks on the mean of its
 * answers.
 */
function bestQuestion(
  candidates: readonly Candidate[],
  posterior: readonly number[],
  evidence: readonly Evidence[],
  known: ReadonlySet<string>,
  bases: ReadonlyMap<string, number>,
): Evidence | undefined {
  const now = entropy(posterior)
  const open = evidence.filter(one => one.ask && !known.has(one.id) && candidates.some(({ cause }) => one.id in cause.speaks))
  const gains = open.map((one) => {
    const gain = [true, false].reduce((left, holds) => {
      const weights = candidates.map(({ cause }, index) => nth(posterior, index) * likelihood(cause, one.id, holds, bases))
      const often = weights.reduce((sum, weight) => sum + weight, 0)
      return left - often * entropy(weights.map(weight => weight / often))
    }, now)
    return { one, gain }
  })
  const best = gains.sort((a, b) => b.gain - a.gain || (a.one.id < b.one.id ? -1 : 1))[0]
  return best && best.gain >= WORTH_ASKING ? best.one : undefined
}

const entropy = (parts: readonly number[]): number => parts.reduce((sum, part) => (part > 0 ? sum - part * Math.log2(part) : sum), 0)
