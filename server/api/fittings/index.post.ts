import { shelfFittingSchema } from '../../../schemas'
import { createFitting } from '../../db/fittings'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('POST /api/fittings', async (event) => {
  const wanted = await readChecked(event, shelfFittingSchema)
  return inWorkshop(event, knex => createFitting(knex, wanted))
}, { created: true })
