import { personChangeSchema, type PersonChange } from '../../../../schemas'
import { refuseUnmanaged } from '../../../access/manage'
import { ownerDb } from '../../../db/connection'
import { changePerson, isMember } from '../../../db/people'
import { NotFoundError } from '../../../faults'
import { whoIs } from '../../../access/who'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { peopleHere } from '../../../http/people'
import { route } from '../../../http/route'
import { workshopOf } from '../../../http/workshop'

/** Somebody changed, and what they may do in this workshop; whoever looks after the installation can take anybody in. */
export default route('PUT /api/people/:id', async (event) => {
  const [change, id] = [(await readChecked(event, personChangeSchema)) as PersonChange, idParam(event)]
  const [workshop, who] = [await workshopOf(event), await whoIs(event)]
  if (!who?.keeper && !await isMember(ownerDb(), workshop, id)) throw new NotFoundError('There is nobody under this address.')
  await refuseUnmanaged(event, id)
  await changePerson(ownerDb(), workshop, id, change)
  return peopleHere(event)
})
