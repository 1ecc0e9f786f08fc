import { capacity, fresh, scratchLeft, type LadderProblem, type Rung } from '../../sanding'
import { coarsestGrain, grainOf, isResin, type ShelfAbrasive } from '../../shelf'
import { mayLeave, startMarks, type PlanInputs } from '../model'
import { barePass, rungOf } from './pass'
import { shelfLadder } from './shelf-ladder'

/** Tool marks are a guess and vary: a first grit that takes out this many times their depth with one piece is sure to do it [model]. */
const MARKS_MARGIN = 2
/** What it costs to begin with one that can just take out the marks as judged, s: a piece more, or back to a coarser one [model]. */
const TOO_FINE = 300

/**
 * The dry ladder for the bare blank: the turner's own, or the quickest from the tool's marks to what a film over it hides, no coarser
 * than the blank bears. The first grit comes out near the usual P100-P150 after a gouge or scraper and P220-P320 after a clean shearing
 * cut [trade]. `goesOn` is the depth (µm) that a grit already done has left.
 */
export function bareLadder(inputs: PlanInputs, goesOn?: number): ShelfAbrasive[] {
  const { ladder } = inputs.wishes
  if (ladder) return [...new Set(ladder)].flatMap(id => inputs.shelf.abrasives.filter(one => one.id === id))
  const problem = sandingProblem(inputs)
  return shelfLadder(goesOn === undefined ? problem : { ...problem, from: goesOn, firstRisk: () => 0, insist: [] }, usableBare(inputs))
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
  const insist = (inputs.wishes.insist ?? []).filter(id => abrasives.some(one => one.id === id))
  const rungs = abrasives.map(rungOf(inputs, barePass(inputs)))
  return {
    from,
    target: toLeave(inputs, rungs),
    overhead: 0,
    greatestJump: jumpOf(inputs),
    firstRisk: rung => TOO_FINE * Math.max(0, (MARKS_MARGIN * from) / capacity(fresh(rung.pass)) - 1) ** 2,
    rungs,
    insist,
    ...(isResin(inputs.material) ? {} : { mayFollow: padsAfterPaper(rungs, insist) }),
  }
}

/** How deep the last scratches may be, µm; where resin is wanted like glass the ladder goes on to the finest there is. */
function toLeave(inputs: PlanInputs, rungs: readonly Rung[]): number {
  const target = mayLeave(inputs).value
  const toTheLast = isResin(inputs.material) && inputs.method.sheen === 'glass' && inputs.wishes.leave === undefined
  return toTheLast ? Math.min(target, ...rungs.map(rung => scratchLeft(rung.pass))) : target
}

/** On bare wood pads come after the finest paper there is, not in its place [trade]; unless the turner insists on one. */
function padsAfterPaper(rungs: readonly Rung[], insist: readonly string[]): NonNullable<LadderProblem['mayFollow']> {
  const finest = Math.min(...rungs.filter(rung => !rung.pass.pad).map(rung => rung.pass.grain))
  return (rung, before) => {
    if (!rung.pass.pad || insist.includes(rung.id) || !Number.isFinite(finest)) return true
    return rung.pass.grain < finest && before !== undefined && (Boolean(before.pass.pad) || before.pass.grain <= finest)
  }
}

/** Greatest jump: the turner's own (0 lifts it), else the method's. */
export const jumpOf = ({ wishes, method }: PlanInputs): number => (wishes.jump === 0 ? Infinity : (wishes.jump ?? method.greatestJump))
