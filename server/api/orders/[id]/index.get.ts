import { readOrder } from '../../../db/orders'
import { readWorkshop } from '../../../db/workshop'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** An order with its pens. */
export default route('GET /api/orders/:id', event =>
  inWorkshop(event, async knex => readOrder(knex, (await readWorkshop(knex)).units, idParam(event))))
