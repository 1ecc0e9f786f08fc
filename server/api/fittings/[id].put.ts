import { shelfFittingSchema } from '../../../schemas'
import { changeFitting } from '../../db/fittings'
import { readChecked } from '../../http/body'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('PUT /api/fittings/:id', async (event) => {
  const wanted = await readChecked(event, shelfFittingSchema)
  return inWorkshop(event, knex => changeFitting(knex, nameParam(event), wanted))
})
