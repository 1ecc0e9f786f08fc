import { trialEndSchema } from '../../../../../schemas'
import { endTrial } from '../../../../db/trials'
import { readChecked } from '../../../../http/body'
import { idParam } from '../../../../http/params'
import { route } from '../../../../http/route'
import { inWorkshop } from '../../../../http/workshop'

/** Ends a trial before its time. */
export default route('PATCH /api/findings/trials/:id', async (event) => {
  const id = idParam(event)
  await readChecked(event, trialEndSchema)
  return inWorkshop(event, knex => endTrial(knex, id))
})
