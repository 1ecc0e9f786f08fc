import { scratchLeft } from '../../sanding'
import { grainOf, type ShelfAbrasive } from '../../shelf'
import { forgives, gritOverhead, type PlanInputs } from '../model'
import { filmPass } from './pass'
import { shelfLadder } from './shelf-ladder'

/** The wet ladder after a levelling with this abrasive, as fine as the sheen wanted asks. */
export function polishLadder(inputs: PlanInputs, level: ShelfAbrasive): ShelfAbrasive[] {
  const pass = filmPass(inputs)
  const { greatestJump, sheen } = inputs.method
  return shelfLadder({
    from: scratchLeft(pass(level)),
    target: forgives(sheen).value,
    abrasives: inputs.shelf.abrasives.filter(one => one.wet && grainOf(one) < grainOf(level)),
    pass,
    overhead: gritOverhead.value,
    greatestJump,
    firstGrain: grainOf(level) / greatestJump,
  })
}
