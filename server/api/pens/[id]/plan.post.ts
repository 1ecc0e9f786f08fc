import { replanSchema } from '../../../../schemas'
import { replanPen } from '../../../db/pens'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { onPen } from '../../../http/workshop'

export default route('POST /api/pens/:id/plan', async (event) => {
  const { version } = await readChecked(event, replanSchema)
  const id = idParam(event)
  return onPen(event, id, 'plan', knex => replanPen(knex, id, version))
})
