import { orderSchema } from '../../../../schemas'
import { changeOrder } from '../../../db/orders'
import { readWorkshop } from '../../../db/workshop'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** Changes an order. */
export default route('PUT /api/orders/:id', async (event) => {
  const wanted = await readChecked(event, orderSchema)
  return inWorkshop(event, async knex => changeOrder(knex, (await readWorkshop(knex)).units, idParam(event), wanted))
})
