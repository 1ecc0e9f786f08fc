import { newPenSchema } from '../../../schemas'
import { createPen } from '../../db/pens'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('POST /api/pens', async (event) => {
  const wanted = await readChecked(event, newPenSchema)
  return inWorkshop(event, knex => createPen(knex, wanted))
}, { created: true })
