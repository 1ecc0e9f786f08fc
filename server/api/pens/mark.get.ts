import { markQuerySchema } from '../../../schemas'
import { freeMarks } from '../../db/marks'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Marks that no pen in the making has, to go on with. */
export default route('GET /api/pens/mark', async (event) => {
  const asked = await queryOf(event, markQuerySchema, { figures: ['count'] })
  return inWorkshop(event, async (knex) => {
    const all = await freeMarks(knex, asked)
    return { free: all[0] ?? '', all }
  })
})
