import { forgetCustomer } from '../../db/customers'
import { idParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Forgets a customer. */
export default route('DELETE /api/customers/:id', async (event) => {
  await inWorkshop(event, knex => forgetCustomer(knex, idParam(event)))
  return {}
})
