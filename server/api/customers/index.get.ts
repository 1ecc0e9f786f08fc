import { customerQuerySchema } from '../../../schemas'
import { listCustomers } from '../../db/customers'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Customers in the order of their names, by a part of them, page by page. */
export default route('GET /api/customers', async (event) => {
  const asked = await queryOf(event, customerQuerySchema, { figures: ['limit'] })
  return inWorkshop(event, knex => listCustomers(knex, asked))
})
