import { supplySchema } from '../../../schemas'
import { changeSupply } from '../../db/supplies'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Says where something is bought and in what packs. */
export default route('PUT /api/supplies', async (event) => {
  const wanted = await readChecked(event, supplySchema)
  return inWorkshop(event, knex => changeSupply(knex, wanted))
})
