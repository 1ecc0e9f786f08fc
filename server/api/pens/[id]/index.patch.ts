import { penChangeSchema, type PenChange } from '../../../../schemas'
import { changePen } from '../../../db/pens'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { onPen } from '../../../http/workshop'

export default route('PATCH /api/pens/:id', async (event) => {
  const change = (await readChecked(event, penChangeSchema)) as PenChange
  const id = idParam(event)
  return onPen(event, id, change, knex => changePen(knex, id, change))
})
