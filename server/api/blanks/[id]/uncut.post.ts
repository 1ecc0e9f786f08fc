import { uncutBlank } from '../../../db/blanks'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('POST /api/blanks/:id/uncut', async (event) => {
  await inWorkshop(event, knex => uncutBlank(knex, idParam(event)))
  return {}
})
