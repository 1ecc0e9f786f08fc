import { eveningSumQuerySchema } from '../../../schemas'
import { eveningDone } from '../../db/evening-done'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** What was done in an evening. */
export default route('GET /api/evenings/sum', async (event) => {
  const { from, to } = await queryOf(event, eveningSumQuerySchema)
  return inWorkshop(event, knex => eveningDone(knex, from, to))
})
