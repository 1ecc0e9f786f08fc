import { newPensSchema } from '../../../schemas'
import { createPens } from '../../db/pens'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Starts several pens at once: all of them, or none. */
export default route('POST /api/pens/several', async (event) => {
  const { pens } = await readChecked(event, newPensSchema)
  return inWorkshop(event, knex => createPens(knex, pens))
}, { created: true })
