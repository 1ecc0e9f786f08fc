import { bottleSchema, type BottleChange } from '../../../../schemas'
import { changeBottle } from '../../../db/shelf'
import { readChecked } from '../../../http/body'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('PUT /api/shelf/bottle', async (event) => {
  const change = (await readChecked(event, bottleSchema)) as BottleChange
  return inWorkshop(event, knex => changeBottle(knex, change))
})
