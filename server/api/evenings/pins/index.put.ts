import { pinSchema } from '../../../../schemas'
import { putPin } from '../../../db/evenings'
import { readChecked } from '../../../http/body'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('PUT /api/evenings/pins', async (event) => {
  const pin = await readChecked(event, pinSchema)
  return inWorkshop(event, knex => putPin(knex, pin))
})
