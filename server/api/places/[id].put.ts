import { placeSchema } from '../../../schemas'
import { changePlace } from '../../db/places'
import { readChecked } from '../../http/body'
import { idParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Changes a place. */
export default route('PUT /api/places/:id', async (event) => {
  const wanted = await readChecked(event, placeSchema)
  return inWorkshop(event, knex => changePlace(knex, idParam(event), wanted))
})
