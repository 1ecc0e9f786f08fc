import { costOf, workGrit, type Rung, type WorkedGrit } from './grit'
import { scratchLeft } from './work'

/** A ladder that is looked for. */
export interface LadderProblem {
  /** Deepest scratch at the start, µm. */
  from: number
  /** Deepest scratch allowed at the end, µm. */
  target: number
  /** Abrasives to choose from. */
  rungs: readonly Rung[]
  /** Change of paper, with-grain pass, wipe and look, s for each step whose rung has none of its own. */
  overhead: number
  /** Greatest ratio of neighbouring grain sizes after the first rung; Infinity lifts it. */
  greatestJump: number
  /** The grain it goes on from, µm: the jump to its first rung counts as well. Absent where it begins anew. */
  after?: number
  /** What it costs besides, s, to begin with a rung: the marks may be deeper than they were judged. Nothing by default. */
  firstRisk?: (rung: Rung) => number
  /** Whether one rung may come right after another (undefined: at the beginning), whatever their grains; always by default. */
  mayFollow?: (rung: Rung, before: Rung | undefined) => boolean
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
  /** The same with what it costs to begin so: what ladders are compared by. */
  cost: number
}

/**
 * The quickest ladders from the start depth to the target over the rungs of a stock, best first, at most `count` of them.
 * Each rung goes on until the deepest scratch before it is gone, so only its own scratches are handed on, and the search is a shortest path
 * from coarse to fine that keeps the best few ways to every rung. Empty when the stock cannot do it.
 */
export function bestLadders(problem: LadderProblem, count = 1): Ladder[] {
  const { from, target, overhead, greatestJump, after = 0, insist = [], firstRisk = () => 0, mayFollow = () => true } = problem
  const stepBy = problem.stepBy ?? ((rung: Rung, depth: number) => reaching(workGrit(rung, depth, overhead)))
  const rungs = [...problem.rungs].sort((a, b) => b.pass.grain - a.pass.grain)
  const waysTo = new Map<Rung, Ladder[]>()
  const wanted = rungs.filter(rung => insist.includes(rung.id))
  if (wanted.length < insist.length) return []
  /** Whether going from one place to the next passes over a rung that must be in the ladder. */
  const passesOver = (coarser: number, finer: number) => wanted.some(({ pass: { grain } }) => grain < coarser && grain > finer)
  const extend = ({ steps, seconds, cost }: Ladder, step: LadderStep | undefined, risk = 0): Ladder[] => {
    if (!step) return []
    const takes = costOf(step, overhead)
    return [{ steps: [...steps, step], seconds: seconds + takes, cost: cost + takes + risk }]
  }

  for (const rung of rungs) {
    const begins = after / rung.pass.grain <= greatestJump + 1e-9 && !passesOver(Infinity, rung.pass.grain) && mayFollow(rung, undefined)
    const ways = begins ? extend({ steps: [], seconds: 0, cost: 0 }, stepBy(rung, from), firstRisk(rung)) : []
    for (const [coarser, ladders] of waysTo) {
      const jump = coarser.pass.grain / rung.pass.grain
      if (jump <= 1 || jump > greatestJump + 1e-9 || passesOver(coarser.pass.grain, rung.pass.grain)) continue
      if (!mayFollow(rung, coarser)) continue
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

const quickest = (ladders: Ladder[], count: number): Ladder[] => ladders.sort((a, b) => a.cost - b.cost).slice(0, count)
