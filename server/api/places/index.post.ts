import { newPlaceSchema } from '../../../schemas'
import { addPlace } from '../../db/places'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A new place. */
export default route('POST /api/places', async (event) => {
  const wanted = await readChecked(event, newPlaceSchema)
  return inWorkshop(event, knex => addPlace(knex, wanted))
}, { created: true })
