import { ownProductChangeSchema } from '../../../../schemas'
import { changeOwnProduct } from '../../../db/product-changes'
import { readChecked } from '../../../http/body'
import { nameParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('PUT /api/shelf/products/:id', async (event) => {
  const wanted = await readChecked(event, ownProductChangeSchema)
  return inWorkshop(event, knex => changeOwnProduct(knex, nameParam(event), wanted))
})
