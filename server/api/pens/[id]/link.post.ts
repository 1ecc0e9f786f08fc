import { showPen } from '../../../db/shown'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** Makes a secret address under which this pen is shown; an earlier one shows nothing any more. */
export default route('POST /api/pens/:id/link', event =>
  inWorkshop(event, async knex => ({ secret: await showPen(knex, idParam(event)) })), { created: true })
