import { ownProductSchema } from '../../../../schemas'
import { createOwnProduct } from '../../../db/product-changes'
import { readChecked } from '../../../http/body'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('POST /api/shelf/products', async (event) => {
  const wanted = await readChecked(event, ownProductSchema)
  return inWorkshop(event, knex => createOwnProduct(knex, wanted))
}, { created: true })
