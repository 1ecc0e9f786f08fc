import { dropBlank } from '../../../db/blanks'
import { db } from '../../../db/connection'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'

export default route('DELETE /api/blanks/:id', async (event) => {
  await dropBlank(db(), idParam(event))
  return {}
})
