import { refuseUnmanaged } from '../../../access/manage'
import { ownerDb } from '../../../db/connection'
import { isMember } from '../../../db/people'
import { newPairing } from '../../../db/sessions'
import { NotFoundError } from '../../../faults'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { workshopOf } from '../../../http/workshop'
import { networkState } from '../../../network/state'

/** A code that lets one device of somebody in: five minutes, once. It stands behind the # of its links, where no server log has it. */
export default route('POST /api/people/:id/pairing', async (event) => {
  const id = idParam(event)
  if (!await isMember(ownerDb(), await workshopOf(event), id)) throw new NotFoundError('There is nobody under this address.')
  await refuseUnmanaged(event, id)
  const made = await newPairing(ownerDb(), id)
  return { ...made, links: (networkState()?.addresses ?? []).map(address => `${address}/door#${made.code}`) }
}, { created: true })
