import { workshopSchema, type WorkshopChange } from '../../schemas'
import { writeWorkshop } from '../db/workshop'
import { readChecked } from '../http/body'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

export default route('PUT /api/workshop', async (event) => {
  const change = (await readChecked(event, workshopSchema)) as WorkshopChange
  return inWorkshop(event, knex => writeWorkshop(knex, change))
})
