import { findingPensQuerySchema } from '../../../schemas'
import { refuseByName } from '../../access/by-name'
import { pensOfFinding } from '../../db/findings'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** The pens behind a number. */
export default route('GET /api/findings/pens', async (event) => {
  const asked = await queryOf(event, findingPensQuerySchema, { lists: ['among'] })
  await refuseByName(event, asked)
  return inWorkshop(event, knex => pensOfFinding(knex, asked))
})
