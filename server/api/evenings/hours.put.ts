import { hoursSchema } from '../../../schemas'
import { changeHours } from '../../db/evenings'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('PUT /api/evenings/hours', async (event) => {
  const change = await readChecked(event, hoursSchema)
  return inWorkshop(event, knex => changeHours(knex, change))
})
