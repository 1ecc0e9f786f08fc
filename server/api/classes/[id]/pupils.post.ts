import { morePupilsSchema } from '../../../../schemas'
import { readClass, seatPupils } from '../../../db/classes'
import { readWorkshop } from '../../../db/workshop'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { refuseStrangers } from '../../../http/people'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** More pupils for a class, a pen for each. */
export default route('POST /api/classes/:id/pupils', async (event) => {
  const [{ people }, id] = [await readChecked(event, morePupilsSchema), idParam(event)]
  await refuseStrangers(event, people)
  return inWorkshop(event, async (knex) => {
    await seatPupils(knex, id, people)
    return readClass(knex, (await readWorkshop(knex)).units, id)
  })
})
