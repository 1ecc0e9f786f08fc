import { asideSchema } from '../../../schemas'
import { changeAside } from '../../db/learnt-of'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Sets something that was learnt aside, or takes it in again. */
export default route('PUT /api/findings/learnt', async (event) => {
  const change = await readChecked(event, asideSchema)
  return inWorkshop(event, knex => changeAside(knex, change))
})
