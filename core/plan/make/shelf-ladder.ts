import { bestLadders, scratchLeft, type LadderProblem, type Pass } from '../../sanding'
import type { ShelfAbrasive } from '../../shelf'

/** A ladder that is looked for among abrasives of the shelf. */
export interface ShelfLadderProblem extends Omit<LadderProblem, 'rungs' | 'stepBy'> {
  /** Those to choose from. */
  abrasives: readonly ShelfAbrasive[]
  /** How each of them cuts here. */
  pass: (abrasive: ShelfAbrasive) => Pass
}

/**
 * The quickest ladder the shelf can give, coarse to fine. When none keeps to the greatest jump, the jump is lifted, and last the grit
 * to begin with; when none reaches the target, it goes as fine as it can. Empty when nothing on the shelf can take out the start depth,
 * or nothing needs to.
 */
export function shelfLadder({ abrasives, pass, ...asked }: ShelfLadderProblem): ShelfAbrasive[] {
  const { from, target, firstGrain = 0, insist = [] } = asked
  if (from <= target) return []
  const rungs = abrasives.map(abrasive => ({ id: abrasive.id, pass: pass(abrasive) }))
  const reachable = rungs.map(rung => scratchLeft(rung.pass)).filter(depth => depth > target && depth < from)
  const jumps = [
    { firstGrain, insist },
    { firstGrain, insist, greatestJump: Infinity },
    { firstGrain: 0, insist, greatestJump: Infinity },
    { firstGrain: 0, insist: [], greatestJump: Infinity },
  ]
  for (const goal of [target, ...reachable.sort((a, b) => a - b)]) {
    for (const way of jumps) {
      const [ladder] = bestLadders({ ...asked, rungs, target: goal, ...way })
      if (ladder) return ladder.steps.flatMap(step => abrasives.filter(one => one.id === step.rung.id))
    }
  }
  return []
}
