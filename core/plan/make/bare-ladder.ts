import { capacity, type LadderProblem } from '../../sanding'
import { coarsestGrain, grainOf, type ShelfAbrasive } from '../../shelf'
import { gritOverhead, mayLeave, startMarks, type PlanInputs } from '../model'
import { barePass } from './pass'
import { shelfLadder } from './shelf-ladder'

/** Tool marks are a guess and vary: the first grit must be able to take out this many times their depth with one piece [model]. */
const MARKS_MARGIN = 2

/**
 * The dry ladder for the bare blank: the turner's own, or the quickest from the tool's marks to what a film over it hides, no coarser
 * than the blank bears. The first grit is the one that the tool marks need, which comes out near the usual P100-P150 after a gouge or
 * scraper and P220-P320 after a clean shearing cut [trade]. `goesOn` is the depth (µm) that a grit already done has left.
 */
export function bareLadder(inputs: PlanInputs, goesOn?: number): ShelfAbrasive[] {
  const { ladder } = inputs.wishes
  if (ladder) return [...new Set(ladder)].flatMap(id => inputs.shelf.abrasives.filter(one => one.id === id))
  const problem = { ...sandingProblem(inputs), ...(goesOn === undefined ? {} : { from: goesOn, firstGrain: 0, insist: [] }) }
  return shelfLadder({ ...problem, abrasives: usableBare(inputs), pass: barePass(inputs) })
}

/** Whether an abrasive may sand this blank bare: dry, and no coarser than it bears. */
export const bears = ({ material }: PlanInputs, abrasive: ShelfAbrasive): boolean =>
  abrasive.dry && grainOf(abrasive) <= coarsestGrain(material).value

/** The abrasives of the shelf that may sand the bare blank: those it bears, none the turner refuses. */
export function usableBare(inputs: PlanInputs): ShelfAbrasive[] {
  const refused = new Set(inputs.wishes.refuse)
  return inputs.shelf.abrasives.filter(one => bears(inputs, one) && !refused.has(one.id))
}

/** The search for the bare blank's ladder, as the turner's wishes have it. */
export function sandingProblem(inputs: PlanInputs): LadderProblem {
  const abrasives = usableBare(inputs)
  const from = startMarks(inputs.wishes).value
  return {
    from,
    target: mayLeave(inputs).value,
    overhead: gritOverhead.value,
    greatestJump: jumpOf(inputs),
    firstGrain: firstGrain(inputs, abrasives, from),
    rungs: abrasives.map(one => ({ id: one.id, pass: barePass(inputs)(one) })),
    insist: (inputs.wishes.insist ?? []).filter(id => abrasives.some(one => one.id === id)),
  }
}

/** Finest grain to begin with, µm: the finest of the shelf that can take out twice the tool's marks with one piece. */
function firstGrain(inputs: PlanInputs, abrasives: readonly ShelfAbrasive[], from: number): number {
  const passes = abrasives.map(barePass(inputs))
  const able = passes.filter(pass => capacity(pass) >= MARKS_MARGIN * from).map(pass => pass.grain)
  return able.length ? Math.min(...able) : Math.max(0, ...passes.map(pass => pass.grain))
}

/** Greatest jump: the turner's own (0 lifts it), else the method's. */
export const jumpOf = ({ wishes, method }: PlanInputs): number => (wishes.jump === 0 ? Infinity : (wishes.jump ?? method.greatestJump))
