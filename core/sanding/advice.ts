import type { Rung } from './grit'
import { bestLadders, type Ladder, type LadderProblem } from './ladders'

/** Why a step is in a ladder, or why one that is left out is not missed. */
export interface StepReason {
  /** Which abrasive. */
  rung: Rung
  /** s that the best ladder without it (or, for one left out, with it) takes longer; Infinity when there is none. */
  costs: number
}

/** What each step of the best ladder is worth: the time the best one without it takes longer, what it costs to begin so counted. */
export function worthOfSteps(problem: LadderProblem, ladder: Ladder): StepReason[] {
  return ladder.steps.map(({ rung }) => {
    const [without] = bestLadders({
      ...problem,
      rungs: problem.rungs.filter(one => one.id !== rung.id),
      insist: (problem.insist ?? []).filter(id => id !== rung.id),
    })
    return { rung, costs: without ? without.cost - ladder.cost : Infinity }
  })
}

/**
 * Why the rungs of the stock that a ladder leaves out are not missed: the time each would add. Those that could not be fitted in are
 * left out of the answer.
 */
export function costOfMissing(problem: LadderProblem, ladder: Ladder): StepReason[] {
  const used = new Set(ladder.steps.map(step => step.rung.id))
  return problem.rungs
    .filter(rung => !used.has(rung.id))
    .flatMap((rung) => {
      const [withIt] = bestLadders({ ...problem, insist: [...(problem.insist ?? []), rung.id] })
      return withIt ? [{ rung, costs: withIt.cost - ladder.cost }] : []
    })
}

/** An abrasive that is not in the stock, and what it would save. */
export interface Purchase {
  /** What would be bought. */
  rung: Rung
  /** s saved on each ladder; Infinity when there is no ladder without it. */
  saves: number
  /** The ladder with it. */
  ladder: Ladder
}

/** The abrasive most worth buying of those that are not there; undefined when none saves anything. */
export function worthBuying(problem: LadderProblem, candidates: readonly Rung[]): Purchase | undefined {
  const now = bestLadders(problem)[0]?.cost ?? Infinity
  const offers = candidates.flatMap((rung) => {
    const [ladder] = bestLadders({ ...problem, rungs: [...problem.rungs, rung] })
    return ladder && ladder.cost < now - 1e-9 ? [{ rung, saves: now - ladder.cost, ladder }] : []
  })
  return offers.reduce<Purchase | undefined>((best, one) => (!best || one.ladder.cost < best.ladder.cost ? one : best), undefined)
}
