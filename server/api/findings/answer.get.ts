import { findingQuerySchema } from '../../../schemas'
import { refuseByName } from '../../access/by-name'
import { answerFinding } from '../../db/findings'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** How often or how much, by what, among which pens. */
export default route('GET /api/findings/answer', async (event) => {
  const asked = await queryOf(event, findingQuerySchema, { lists: ['among'] })
  await refuseByName(event, asked)
  return inWorkshop(event, knex => answerFinding(knex, asked))
})
