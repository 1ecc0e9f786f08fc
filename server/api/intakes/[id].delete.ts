import { listIntakes, undoIntake } from '../../db/intake'
import { idParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Undoes what was taken in with a sheet. */
export default route('DELETE /api/intakes/:id', event => inWorkshop(event, async (knex) => {
  await undoIntake(knex, idParam(event))
  return listIntakes(knex)
}))
