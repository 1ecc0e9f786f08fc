import { bestLadders, costOf, costOfMissing, worthBuying, worthOfSteps, type Ladder, type Rung } from '../../sanding'
import type { ShelfAbrasive } from '../../shelf'
import { barePass, bears, rungOf, sandingProblem } from '../make'
import type { PlanInputs } from '../model'

/** A ladder that is offered. */
export interface Proposal {
  /** Why it is offered. */
  name: 'best for my shelf' | 'next best' | 'the short one' | 'the careful one'
  /** Its abrasives by their ids, coarse to fine. */
  ids: readonly string[]
  /** Sanding and changes together, s. */
  seconds: number
}

/** Dear changes of paper make the search take few grits: this many times as dear. */
const DEAR = 8
/** Small jumps make it take many. */
const CAREFUL_JUMPS = [1.5, 1.6, 1.75]

/** Ladders to choose from: the quickest, the next few, one of few grits, one of small jumps. Alike ones once. */
export function proposals(inputs: PlanInputs): Proposal[] {
  const problem = sandingProblem(inputs)
  const usual = new Map(problem.rungs.map(rung => [rung.id, rung]))
  const timeOf = (ladder: Ladder) =>
    ladder.steps.reduce((sum, step) => sum + costOf({ ...step, rung: usual.get(step.rung.id) ?? step.rung }, 0), 0)
  const asked = (name: Proposal['name'], ladder: Ladder | undefined): Proposal[] =>
    ladder ? [{ name, ids: ladder.steps.map(step => step.rung.id), seconds: timeOf(ladder) }] : []
  const [best, ...next] = bestLadders(problem, 4)
  const dear = problem.rungs.map(rung => ({ ...rung, overhead: DEAR * (rung.overhead ?? 0) }))
  const [short] = bestLadders({ ...problem, rungs: dear, greatestJump: Infinity })
  const [careful] = CAREFUL_JUMPS.flatMap(jump => bestLadders({ ...problem, greatestJump: Math.min(jump, problem.greatestJump) }))
  const all = [
    ...asked('best for my shelf', best),
    ...asked('the short one', short),
    ...asked('the careful one', careful),
    ...next.flatMap(one => asked('next best', one)),
  ]
  return all.filter((one, index) => all.findIndex(other => other.ids.join() === one.ids.join()) === index)
}

/** What an abrasive costs a ladder that has it, or would cost one that has not. */
export interface Cost {
  /** Which abrasive. */
  id: string
  /** s that the ladder takes longer; Infinity when there is none. */
  costs: number
}

/** Why a grit is there, and why the others are not missed. */
export interface LadderReasons {
  /** What the best ladder without each of its steps takes longer. */
  steps: Cost[]
  /** What each of the others would add. */
  missing: Cost[]
  /** The abrasive most worth buying, and what it saves on each pen, s; absent when none saves anything. */
  buy?: { id: string, saves: number }
}

/** The reasons of the best ladder for these inputs; `offers` are the abrasives that could be bought. Undefined when there is no ladder. */
export function ladderReasons(inputs: PlanInputs, offers: readonly ShelfAbrasive[]): LadderReasons | undefined {
  const problem = sandingProblem(inputs)
  const [best] = bestLadders(problem)
  if (!best) return undefined
  const there = new Set(inputs.shelf.abrasives.map(one => one.id))
  const buyable = offers.filter(one => bears(inputs, one) && !there.has(one.id))
  const bought = worthBuying(problem, buyable.map(rungOf(inputs, barePass(inputs))))
  const told = (all: readonly { rung: Rung, costs: number }[]): Cost[] => all.map(({ rung, costs }) => ({ id: rung.id, costs }))
  return {
    steps: told(worthOfSteps(problem, best)),
    missing: told(costOfMissing(problem, best)),
    ...(bought ? { buy: { id: bought.rung.id, saves: bought.saves } } : {}),
  }
}
