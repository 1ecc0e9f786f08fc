import { figuresSchema } from '../../../../schemas'
import { sealOfInstallation } from '../../../access/installation'
import { refuseOther } from '../../../access/own'
import { ownerDb } from '../../../db/connection'
import { confirmSecond } from '../../../db/second'
import { FieldsError } from '../../../faults'
import { readChecked } from '../../../http/body'
import { peopleHere } from '../../../http/people'
import { route } from '../../../http/route'

/** Sets one’s own second step up by its first figures: from then on they are asked for. */
export default route('PUT /api/people/:id/second', async (event) => {
  const { second } = await readChecked(event, figuresSchema)
  const { id } = await refuseOther(event)
  if (!await confirmSecond(ownerDb(), id, second, await sealOfInstallation()))
    throw new FieldsError({ second: 'These are not what it shows now. Wait for the next ones and try those; its clock may be wrong.' })
  return peopleHere(event)
})
