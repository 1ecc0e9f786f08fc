import { scratchLeft } from '../../sanding'
import { grainOf, type ShelfAbrasive } from '../../shelf'
import { forgives, type PlanInputs } from '../model'
import { filmPass, rungOf } from './pass'
import { shelfLadder } from './shelf-ladder'

/** The wet ladder after a levelling with this abrasive: the turner's own, else as fine as the sheen wanted asks. */
export function polishLadder(inputs: PlanInputs, level: ShelfAbrasive): ShelfAbrasive[] {
  const { filmLadder } = inputs.wishes
  if (filmLadder) return filmLadder.flatMap(id => inputs.shelf.abrasives.find(one => one.id === id && one.wet) ?? [])
  const pass = filmPass(inputs)
  const { greatestJump, sheen } = inputs.method
  const finer = inputs.shelf.abrasives.filter(one => one.wet && grainOf(one) < grainOf(level))
  return shelfLadder(
    {
      from: scratchLeft(pass(level)),
      target: forgives(sheen).value,
      rungs: finer.map(rungOf(inputs, pass)),
      overhead: 0,
      greatestJump,
      after: grainOf(level),
    },
    finer,
  )
}
