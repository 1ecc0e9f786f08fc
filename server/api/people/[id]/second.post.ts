import { secondSchema } from '../../../../schemas'
import { sealOfInstallation } from '../../../access/installation'
import { ownPerson } from '../../../access/own'
import { secondLink } from '../../../access/second'
import { ownerDb } from '../../../db/connection'
import { beginSecond } from '../../../db/second'
import { readChecked } from '../../../http/body'
import { route } from '../../../http/route'

/** Begins to set one’s own second step at the door up, by the password one has. */
export default route('POST /api/people/:id/second', async (event) => {
  const { current } = await readChecked(event, secondSchema)
  const { id, name } = await ownPerson(event, current)
  const secret = await beginSecond(ownerDb(), id, await sealOfInstallation())
  return { secret, link: secondLink(secret, name) }
}, { created: true })
