import { newOrderSchema } from '../../../schemas'
import { addOrder } from '../../db/orders'
import { readWorkshop } from '../../db/workshop'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A new order. */
export default route('POST /api/orders', async (event) => {
  const wanted = await readChecked(event, newOrderSchema)
  return inWorkshop(event, async knex => addOrder(knex, (await readWorkshop(knex)).units, wanted))
}, { created: true })
