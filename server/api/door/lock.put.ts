import { lockSchema } from '../../../schemas'
import { lock } from '../../access/installation'
import { ownerDb } from '../../db/connection'
import { refuseLockingOut } from '../../db/people'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

/** Has the machine itself ask who it is, or ask no more. */
export default route('PUT /api/door/lock', async (event) => {
  const { locked } = await readChecked(event, lockSchema)
  if (locked) await refuseLockingOut(ownerDb())
  await lock(locked)
  return {}
})
