import { hidePen } from '../../../db/shown'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** Shows this pen to nobody any more. */
export default route('DELETE /api/pens/:id/link', event => inWorkshop(event, async (knex) => {
  await hidePen(knex, idParam(event))
  return {}
}))
