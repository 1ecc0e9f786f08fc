import { broughtQuerySchema } from '../../schemas'
import { broughtBefore } from '../db/brought'
import { queryOf } from '../http/params'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

/** What pens like one brought before. */
export default route('GET /api/brought', async (event) => {
  const asked = await queryOf(event, broughtQuerySchema)
  return inWorkshop(event, knex => broughtBefore(knex, asked))
})
