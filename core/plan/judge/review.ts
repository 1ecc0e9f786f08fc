import { abrasiveName } from '../../abrasives'
import { barrelNames } from '../../barrel'
import { reviewLadder, type Review } from '../../sanding'
import { isResin } from '../../shelf'
import { barePass, jumpOf, rungOf } from '../make'
import { isKind, mayLeave, startMarks, type Plan } from '../model'
import type { PlanTrace } from '../trace'

/** The plan's ladder on the bare blank, reviewed: what each grit takes and leaves, and what is wrong with the order. */
export function reviewOf({ inputs, steps }: Plan, traced: PlanTrace): Review {
  const rung = rungOf(inputs, barePass(inputs))
  const written = steps.filter(isKind('sand')).map(({ abrasive }) => ({
    ...rung(abrasive),
    name: abrasiveName(abrasive),
    scale: abrasive.scale,
    number: abrasive.mark,
    wet: !abrasive.dry,
  }))
  return reviewLadder(written, {
    from: startMarks(inputs.wishes).value,
    origin: `the ${inputs.wishes.tool}`,
    forgives: mayLeave(inputs).value,
    greatestJump: jumpOf(inputs),
    overhead: 0,
    bare: !isResin(inputs.material),
    toSpare: toSpare(traced),
  })
}

/** An end of one's own that is turned too small has that much less to spare; as worked out, sanding takes what was left for it. */
const toSpare = ({ ends, sandingTakes }: PlanTrace): { end: string, depth: number }[] =>
  ends
    .filter(end => end.over < 0)
    .map(end => ({ end: `${end.end} end of the ${barrelNames[end.barrel]}`, depth: sandingTakes.value + (end.over / 2) * 1000 }))
