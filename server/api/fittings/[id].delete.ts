import { dropFitting } from '../../db/fittings'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('DELETE /api/fittings/:id', async (event) => {
  await inWorkshop(event, knex => dropFitting(knex, nameParam(event)))
  return {}
})
