import { db } from '../../db/connection'
import { dropFitting } from '../../db/fittings'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'

export default route('DELETE /api/fittings/:id', async (event) => {
  await dropFitting(db(), nameParam(event))
  return {}
})
