import { shelfChangeSchema } from '../../../schemas'
import { changeShelf } from '../../db/shelf'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('PUT /api/shelf', async (event) => {
  const change = await readChecked(event, shelfChangeSchema)
  return inWorkshop(event, knex => changeShelf(knex, change))
})
