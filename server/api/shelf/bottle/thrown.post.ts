import { thrownSchema } from '../../../../schemas'
import { throwAway } from '../../../db/product-changes'
import { readChecked } from '../../../http/body'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** Throws the bottle in use away. */
export default route('POST /api/shelf/bottle/thrown', async (event) => {
  const { item } = await readChecked(event, thrownSchema)
  return inWorkshop(event, knex => throwAway(knex, item))
})
