import { bitSchema } from '../../schemas'
import { changeBit } from '../db/bits'
import { readChecked } from '../http/body'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

export default route('PUT /api/bits', async (event) => {
  const change = await readChecked(event, bitSchema)
  return inWorkshop(event, knex => changeBit(knex, change))
})
