import { newTrialSchema } from '../../../../schemas'
import { beginTrial } from '../../../db/trials'
import { readChecked } from '../../../http/body'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** Begins to try two ways out. */
export default route('POST /api/findings/trials', async (event) => {
  const trial = await readChecked(event, newTrialSchema)
  return inWorkshop(event, knex => beginTrial(knex, trial))
}, { created: true })
