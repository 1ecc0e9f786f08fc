import { orderQuerySchema } from '../../../schemas'
import { listOrders } from '../../db/orders'
import { readWorkshop } from '../../db/workshop'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Orders that are open, or those that are over. */
export default route('GET /api/orders', async (event) => {
  const asked = await queryOf(event, orderQuerySchema, { figures: ['after', 'before', 'limit'] })
  return inWorkshop(event, async knex => listOrders(knex, (await readWorkshop(knex)).units, asked))
})
