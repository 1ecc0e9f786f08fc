import { refuseUnmanaged } from '../../access/manage'
import { ownerDb } from '../../db/connection'
import { isMember } from '../../db/people'
import { endSession, personOf } from '../../db/sessions'
import { NotFoundError } from '../../faults'
import { idParam } from '../../http/params'
import { accessHere } from '../../http/people'
import { route } from '../../http/route'
import { workshopOf } from '../../http/workshop'

/** Takes a device away: it is out at once. */
export default route('DELETE /api/devices/:id', async (event) => {
  const id = idParam(event)
  const person = await personOf(ownerDb(), id)
  if (!person || !await isMember(ownerDb(), await workshopOf(event), person)) throw new NotFoundError('There is no such device.')
  await refuseUnmanaged(event, person)
  await endSession(ownerDb(), id)
  return accessHere(event)
})
