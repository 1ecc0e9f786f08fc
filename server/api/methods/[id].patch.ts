import { awaySchema } from '../../../schemas'
import { db } from '../../db/connection'
import { putAwayMethod } from '../../db/methods'
import { readChecked } from '../../http/body'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'

/** Puts a method away, or takes it out again. */
export default route('PATCH /api/methods/:id', async (event) => {
  await putAwayMethod(db(), nameParam(event), (await readChecked(event, awaySchema)).gone)
  return {}
})
