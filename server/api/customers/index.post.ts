import { newCustomerSchema } from '../../../schemas'
import { addCustomer } from '../../db/customers'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A new customer. */
export default route('POST /api/customers', async (event) => {
  const wanted = await readChecked(event, newCustomerSchema)
  return inWorkshop(event, knex => addCustomer(knex, wanted))
}, { created: true })
