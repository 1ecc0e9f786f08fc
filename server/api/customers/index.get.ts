import { customerQuerySchema } from '../../../schemas'
import { listCustomers } from '../../db/customers'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Customers, by a part of their name. */
export default route('GET /api/customers', async (event) => {
  const asked = await queryOf(event, customerQuerySchema)
  return inWorkshop(event, knex => listCustomers(knex, asked))
})
