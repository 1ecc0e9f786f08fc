import { listPlaces } from '../../db/places'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Places where pens are sold, and what each brought. */
export default route('GET /api/places', event => inWorkshop(event, listPlaces))
