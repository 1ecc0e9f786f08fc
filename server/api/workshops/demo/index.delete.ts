import { deleteDemo } from '../../../db/demo'
import { ownerDb } from '../../../db/connection'
import { route } from '../../../http/route'

/** Deletes the demo whole. */
export default route('DELETE /api/workshops/demo', async () => {
  await deleteDemo(ownerDb())
  return {}
})
