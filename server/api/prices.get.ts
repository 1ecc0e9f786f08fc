import { readPrices } from '../db/prices'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

/** What the workshop pays, by what it is for. */
export default route('GET /api/prices', event => inWorkshop(event, readPrices))
