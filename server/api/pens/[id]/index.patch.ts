import { penChangeSchema, type PenChange } from '../../../../schemas'
import { changePen } from '../../../db/pens'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('PATCH /api/pens/:id', async (event) => {
  const change = (await readChecked(event, penChangeSchema)) as PenChange
  return inWorkshop(event, knex => changePen(knex, idParam(event), change))
})
