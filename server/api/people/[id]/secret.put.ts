import { secretChangeSchema } from '../../../../schemas'
import { refuseUnmanaged } from '../../../access/manage'
import { refuseWrong } from '../../../access/own'
import { roleIn, whoIs } from '../../../access/who'
import { ownerDb } from '../../../db/connection'
import { isMember, secretOf, setSecret } from '../../../db/people'
import { NotForYouError, NotFoundError } from '../../../faults'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { peopleHere } from '../../../http/people'
import { route } from '../../../http/route'
import { workshopOf } from '../../../http/workshop'

/** A new password or PIN: one’s own by the one that is good so far; somebody else’s by an owner. */
export default route('PUT /api/people/:id/secret', async (event) => {
  const [{ secret, current }, id] = [await readChecked(event, secretChangeSchema), idParam(event)]
  const [workshop, who] = [await workshopOf(event), await whoIs(event)]
  if (who?.person?.id === id) {
    const kept = await secretOf(ownerDb(), id)
    if (kept) await refuseWrong(event, who.person, kept, current ?? '')
  } else {
    if (!who || roleIn(who, workshop) !== 'owner') throw new NotForYouError('An owner of this workshop can do this.')
    if (!who.keeper && !await isMember(ownerDb(), workshop, id)) throw new NotFoundError('There is nobody under this address.')
    await refuseUnmanaged(event, id)
    await secretOf(ownerDb(), id)
  }
  await setSecret(ownerDb(), id, secret, who.session)
  return peopleHere(event)
})
