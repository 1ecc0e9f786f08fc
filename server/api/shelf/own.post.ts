import { ownAbrasiveSchema } from '../../../schemas'
import { createOwnAbrasive } from '../../db/shelf'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('POST /api/shelf/own', async (event) => {
  const wanted = await readChecked(event, ownAbrasiveSchema)
  return inWorkshop(event, knex => createOwnAbrasive(knex, wanted))
}, { created: true })
