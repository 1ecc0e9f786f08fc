import { blankSchema } from '../../../schemas'
import { createBlank } from '../../db/blanks'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('POST /api/blanks', async (event) => {
  const wanted = await readChecked(event, blankSchema)
  return inWorkshop(event, knex => createBlank(knex, wanted))
}, { created: true })
