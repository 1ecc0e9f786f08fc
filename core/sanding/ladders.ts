import { costOf, workGrit, type Rung, type WorkedGrit } from './grit'
import { capacity, scratchLeft } from './work'

/** A ladder that is looked for. */
export interface LadderProblem {
  /** Deepest scratch at the start, µm. */
  from: number
  /** Deepest scratch allowed at the end, µm. */
  target: number
  /** Abrasives to choose from. */
  rungs: readonly Rung[]
  /** Change of paper, with-grain pass, wipe and look, s for each step. */
  overhead: number
  /** Greatest ratio of neighbouring grain sizes after the first rung; Infinity lifts it. */
  greatestJump: number
  /** Finest grain the ladder may begin with, µm; any by default. */
  firstGrain?: number
  /** Rungs that must be in it. */
  insist?: readonly string[]
  /** Another model of a step's time than the scratch model's: how a rung removes a depth (µm), or undefined when it cannot. */
  stepBy?: (rung: Rung, depth: number) => LadderStep | undefined
}

/** A step of a ladder: a grit that gets there. */
export type LadderStep = WorkedGrit

/** An order of abrasives from coarse to fine that gets from one depth to the other. */
export interface Ladder {
  /** From the coarsest to the finest. */
  steps: readonly LadderStep[]
  /** Sanding and overhead together, s. */
  seconds: number
}

/**
 * The quickest ladders from the start depth to the target over the rungs of a stock, best first, at most `count` of them.
 * Each rung goes on until the deepest scratch before it is gone, so only its own scratches are handed on, and the search is a shortest path
 * from coarse to fine that keeps the best few ways to every rung. Empty when the stock cannot do it.
 */
export function bestLadders(problem: LadderProblem, count = 1): Ladder[] {
  const { from, target, overhead, greatestJump, firstGrain = 0, insist = [] } = problem
  const stepBy = problem.stepBy ?? ((rung: Rung, depth: number) => reaching(workGrit(rung, depth, overhead)))
  const rungs = problem.rungs.filter(rung => capacity(rung.pass) > 0).sort((a, b) => b.pass.grain - a.pass.grain)
  const waysTo = new Map<Rung, Ladder[]>()
  const wanted = rungs.filter(rung => insist.includes(rung.id))
  if (wanted.length < insist.length) return []
  /** Whether going from one place to the next passes over a rung that must be in the ladder. */
  const passesOver = (coarser: number, finer: number) => wanted.some(({ pass: { grain } }) => grain < coarser && grain > finer)
  const extend = (ladder: Ladder, step: LadderStep | undefined): Ladder[] =>
    step ? [{ steps: [...ladder.steps, step], seconds: ladder.seconds + costOf(step, overhead) }] : []

  for (const rung of rungs) {
    const ways
      = rung.pass.grain >= firstGrain - 1e-9 && !passesOver(Infinity, rung.pass.grain)
        ? extend({ steps: [], seconds: 0 }, stepBy(rung, from))
        : []
    for (const [coarser, ladders] of waysTo) {
      const jump = coarser.pass.grain / rung.pass.grain
      if (jump <= 1 || jump > greatestJump + 1e-9 || passesOver(coarser.pass.grain, rung.pass.grain)) continue
      const step = stepBy(rung, scratchLeft(coarser.pass))
      ways.push(...ladders.flatMap(ladder => extend(ladder, step)))
    }
    waysTo.set(rung, quickest(ways, count))
  }
  const done = rungs.filter(rung => scratchLeft(rung.pass) <= target + 1e-9 && !passesOver(rung.pass.grain, 0))
  return quickest(
    done.flatMap(rung => waysTo.get(rung) ?? []),
    count,
  )
}

const reaching = (step: WorkedGrit): LadderStep | undefined => (step.reaches ? step : undefined)

const quickest = (ladders: Ladder[], count: number): Ladder[] => ladders.sort((a, b) => a.seconds - b.seconds).slice(0, count)
