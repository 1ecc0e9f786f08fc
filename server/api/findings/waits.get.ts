import { waitsQuerySchema } from '../../../schemas'
import { keptWaits } from '../../db/pictures'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** How long waits were, and in what air. */
export default route('GET /api/findings/waits', async (event) => {
  const asked = await queryOf(event, waitsQuerySchema)
  return inWorkshop(event, knex => keptWaits(knex, asked))
})
