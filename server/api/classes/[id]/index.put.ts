import { classChangeSchema, type ClassChange } from '../../../../schemas'
import { changeClass } from '../../../db/classes'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('PUT /api/classes/:id', async (event) => {
  const change = (await readChecked(event, classChangeSchema)) as ClassChange
  return inWorkshop(event, knex => changeClass(knex, idParam(event), change))
})
