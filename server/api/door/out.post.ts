import { doorOf } from '../../access/door'
import { takeCookie, whoIs } from '../../access/who'
import { ownerDb } from '../../db/connection'
import { endSession } from '../../db/sessions'
import { route } from '../../http/route'

/** Signs out: this device is out, and so is its live stream. */
export default route('POST /api/door/out', async (event) => {
  const who = await whoIs(event)
  if (who?.session) {
    await endSession(ownerDb(), who.session)
    takeCookie(event)
    return { me: null, wait: 0 }
  }
  return doorOf(event)
})
