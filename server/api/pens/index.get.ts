import { penQuerySchema } from '../../../schemas'
import { pagePens } from '../../db/rows'
import { readWorkshop } from '../../db/workshop'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A page of the pens that are asked for. */
export default route('GET /api/pens', async (event) => {
  const asked = await queryOf(event, penQuerySchema, { figures: ['limit'] })
  return inWorkshop(event, async knex => pagePens(knex, (await readWorkshop(knex)).units, asked))
})
