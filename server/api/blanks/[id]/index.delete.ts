import { dropBlank } from '../../../db/blanks'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('DELETE /api/blanks/:id', async (event) => {
  await inWorkshop(event, knex => dropBlank(knex, idParam(event)))
  return {}
})
