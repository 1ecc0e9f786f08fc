import { workshopNameSchema } from '../../../schemas'
import { ownerDb } from '../../db/connection'
import { rename } from '../../db/workshops'
import { readChecked } from '../../http/body'
import { idParam } from '../../http/params'
import { route } from '../../http/route'

/** Gives a workshop another name. */
export default route('PATCH /api/workshops/:id', async (event) => {
  const { name } = await readChecked(event, workshopNameSchema)
  return rename(ownerDb(), idParam(event), name)
})
