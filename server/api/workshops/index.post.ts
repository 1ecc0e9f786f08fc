import { workshopNameSchema } from '../../../schemas'
import { whoIs } from '../../access/who'
import { ownerDb } from '../../db/connection'
import { newWorkshop } from '../../db/workshops'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'

/** One more workshop beside the others, of whoever sets it up. */
export default route('POST /api/workshops', async (event) => {
  const { name } = await readChecked(event, workshopNameSchema)
  return newWorkshop(ownerDb(), name, (await whoIs(event))?.person?.id ?? null)
}, { created: true })
