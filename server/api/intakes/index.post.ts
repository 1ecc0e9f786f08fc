import { intakeSchema, MOST_BYTES, type NewIntake } from '../../../schemas/intake'
import { db } from '../../db/connection'
import { listIntakes, takeInSheet, tellPens } from '../../db/intake'
import { projectAll } from '../../db/projections'
import { withinWorkshop } from '../../db/within'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { workshopOf } from '../../http/workshop'

/** Text takes more room as JSON than in its file. */
const MOST = 2 * MOST_BYTES

/** Takes a sheet in: all of it, or nothing. */
export default route('POST /api/intakes', async (event) => {
  const wanted = await readChecked(event, intakeSchema, MOST) as NewIntake
  const within = withinWorkshop(db(), await workshopOf(event))
  const pens = await within(trx => takeInSheet(trx, wanted))
  if (pens.length) {
    // Nobody waits for these: they are worked out a few at a time, and then stand in the lists.
    await projectAll(within)
    await within(trx => tellPens(trx, pens))
  }
  return within(listIntakes)
}, { created: true })
