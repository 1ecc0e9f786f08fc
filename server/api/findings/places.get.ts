import { placesQuerySchema } from '../../../schemas'
import { defectPlaces } from '../../db/pictures'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Where a kind of defect was found on the barrels. */
export default route('GET /api/findings/places', async (event) => {
  const asked = await queryOf(event, placesQuerySchema)
  return inWorkshop(event, knex => defectPlaces(knex, asked))
})
