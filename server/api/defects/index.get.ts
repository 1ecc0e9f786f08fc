import { defectQuerySchema } from '../../../schemas'
import { pageDefects } from '../../db/defects'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A page of the defects that are asked for. */
export default route('GET /api/defects', async (event) => {
  const asked = await queryOf(event, defectQuerySchema, { figures: ['limit'], lists: ['pens'] })
  return inWorkshop(event, knex => pageDefects(knex, asked))
})
