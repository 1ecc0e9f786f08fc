import { awaySchema } from '../../../schemas'
import { putAwayMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Puts a method away, or takes it out again. */
export default route('PATCH /api/methods/:id', async (event) => {
  const { gone } = await readChecked(event, awaySchema)
  await inWorkshop(event, knex => putAwayMethod(knex, nameParam(event), gone))
  return {}
})
