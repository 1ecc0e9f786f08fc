import { intakeSchema, MOST_BYTES, type NewIntake } from '../../../schemas/intake'
import { listIntakes, takeInSheet, tellPens } from '../../db/intake'
import { projectAll } from '../../db/projections'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { placeOf } from '../../http/workshop'

/** Text takes more room as JSON than in its file. */
const MOST = 2 * MOST_BYTES

/** Takes a sheet in: all of it, or nothing. */
export default route('POST /api/intakes', async (event) => {
  const wanted = await readChecked(event, intakeSchema, MOST) as NewIntake
  const { within } = await placeOf(event)
  const pens = await within(trx => takeInSheet(trx, wanted))
  if (pens.length) {
    // Nobody waits for these: they are worked out a few at a time, and then stand in the lists.
    await projectAll(within)
    await within(trx => tellPens(trx, pens))
  }
  return within(listIntakes)
}, { created: true })
