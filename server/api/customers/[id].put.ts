import { customerSchema } from '../../../schemas'
import { changeCustomer } from '../../db/customers'
import { readChecked } from '../../http/body'
import { idParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Changes a customer. */
export default route('PUT /api/customers/:id', async (event) => {
  const wanted = await readChecked(event, customerSchema)
  return inWorkshop(event, knex => changeCustomer(knex, idParam(event), wanted))
})
