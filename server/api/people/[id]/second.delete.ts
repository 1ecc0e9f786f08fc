import { refuseUnmanaged } from '../../../access/manage'
import { roleIn, whoIs } from '../../../access/who'
import { ownerDb } from '../../../db/connection'
import { isMember, secretOf } from '../../../db/people'
import { dropSecond } from '../../../db/second'
import { NotForYouError, NotFoundError } from '../../../faults'
import { idParam } from '../../../http/params'
import { peopleHere } from '../../../http/people'
import { route } from '../../../http/route'
import { workshopOf } from '../../../http/workshop'

/** Takes a second step away: one’s own, or, where the device that shows it is lost, somebody’s by an owner. */
export default route('DELETE /api/people/:id/second', async (event) => {
  const id = idParam(event)
  const [workshop, who] = [await workshopOf(event), await whoIs(event)]
  if (who?.person?.id !== id) {
    if (!who?.keeper && !await isMember(ownerDb(), workshop, id)) throw new NotFoundError('There is nobody under this address.')
    if (!who || roleIn(who, workshop) !== 'owner') throw new NotForYouError('An owner of this workshop can do this.')
    await refuseUnmanaged(event, id)
    await secretOf(ownerDb(), id)
  }
  await dropSecond(ownerDb(), id)
  return peopleHere(event)
})
