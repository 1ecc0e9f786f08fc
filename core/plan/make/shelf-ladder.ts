import { bestLadders, scratchLeft, type Ladder, type LadderProblem } from '../../sanding'
import type { ShelfAbrasive } from '../../shelf'

/**
 * The quickest ladder the shelf can give, coarse to fine, of these abrasives, which are the rungs of the problem. When none keeps to
 * the greatest jump, that is raised to the smallest which one can keep; then a grit that was insisted on is let go; when none reaches
 * the target, it goes as fine as it can. Empty when nothing on the shelf can take out the start depth, or nothing needs to.
 */
export function shelfLadder(asked: LadderProblem, abrasives: readonly ShelfAbrasive[]): ShelfAbrasive[] {
  const { from, target, rungs } = asked
  if (from <= target) return []
  const reachable = rungs.map(rung => scratchLeft(rung.pass)).filter(depth => depth > target && depth < from)
  for (const goal of [target, ...reachable.sort((a, b) => a - b)]) {
    for (const insist of [asked.insist ?? [], []]) {
      const ladder = withLeastJump({ ...asked, target: goal, insist })
      if (ladder) return ladder.steps.flatMap(step => abrasives.filter(one => one.id === step.rung.id))
    }
  }
  return []
}

/** A ladder that begins so much too fine, s of risk, is no way to keep a jump [model]. */
const TOO_RISKY = 100
const beginsWell = (ladder: Ladder | undefined): boolean => ladder !== undefined && ladder.cost - ladder.seconds < TOO_RISKY

/**
 * The best ladder under the greatest jump asked for, else under the smallest that lets one through which begins coarse enough, or any
 * at all; undefined where none does.
 */
function withLeastJump(asked: LadderProblem): Ladder | undefined {
  const best = (greatestJump: number) => bestLadders({ ...asked, greatestJump })[0]
  const kept = best(asked.greatestJump)
  if (beginsWell(kept)) return kept
  return leastJump(asked, best, beginsWell) ?? kept ?? leastJump(asked, best, ladder => ladder !== undefined)
}

type Found = (ladder: Ladder | undefined) => boolean

function leastJump(asked: LadderProblem, best: (jump: number) => Ladder | undefined, is: Found): Ladder | undefined {
  const jumps = jumpsBeyond(asked)
  let [low, high] = [0, jumps.length]
  // The more is allowed the more ladders there are: the least that does is found by halving.
  while (low < high) {
    const middle = (low + high) >> 1
    if (is(best(jumps[middle] ?? Infinity))) high = middle
    else low = middle + 1
  }
  return low < jumps.length ? best(jumps[low] ?? Infinity) : undefined
}

/** All jumps there are between the rungs, beyond the one asked for, the smallest first. */
function jumpsBeyond({ rungs, greatestJump, after }: LadderProblem): number[] {
  const grains = [...rungs.map(rung => rung.pass.grain), ...(after === undefined ? [] : [after])]
  const ratios = grains.flatMap(coarse => grains.map(fine => coarse / fine)).filter(ratio => ratio > greatestJump)
  return [...new Set(ratios)].sort((a, b) => a - b)
}
