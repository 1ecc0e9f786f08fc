import { blankSchema } from '../../../../schemas'
import { changeBlank } from '../../../db/blanks'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('PUT /api/blanks/:id', async (event) => {
  const wanted = await readChecked(event, blankSchema)
  return inWorkshop(event, knex => changeBlank(knex, idParam(event), wanted))
})
