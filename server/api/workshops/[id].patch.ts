import { workshopNameSchema } from '../../../schemas'
import { roleIn, whoIs } from '../../access/who'
import { ownerDb } from '../../db/connection'
import { rename } from '../../db/workshops'
import { NotForYouError, NotFoundError } from '../../faults'
import { readChecked } from '../../http/body'
import { idParam } from '../../http/params'
import { route } from '../../http/route'

/** Gives a workshop another name. @throws NotFoundError for one that whoever asks does not belong to */
export default route('PATCH /api/workshops/:id', async (event) => {
  const [{ name }, id, who] = [await readChecked(event, workshopNameSchema), idParam(event), await whoIs(event)]
  const role = who && roleIn(who, id)
  if (!role) throw new NotFoundError('There is no such workshop.')
  if (role !== 'owner') throw new NotForYouError('This is for the owners of the workshop.')
  return rename(ownerDb(), id, name)
})
