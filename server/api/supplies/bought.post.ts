import { boughtSchema } from '../../../schemas'
import { bookIn } from '../../db/supplies'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Books in what was bought. */
export default route('POST /api/supplies/bought', async (event) => {
  const bought = await readChecked(event, boughtSchema)
  return inWorkshop(event, knex => bookIn(knex, bought))
}, { created: true })
