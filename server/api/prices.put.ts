import { priceSchema } from '../../schemas'
import { changePrice } from '../db/prices'
import { readChecked } from '../http/body'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

/** Sets a price, or takes it away. */
export default route('PUT /api/prices', async (event) => {
  const change = await readChecked(event, priceSchema)
  return inWorkshop(event, knex => changePrice(knex, change))
})
