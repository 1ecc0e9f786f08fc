import { keptPlanSchema } from '../../../schemas'
import { keepPlan } from '../../db/evenings'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Keeps what an evening is to be. */
export default route('PUT /api/evenings/plan', async (event) => {
  const plan = await readChecked(event, keptPlanSchema)
  await inWorkshop(event, knex => keepPlan(knex, plan))
  return {}
})
