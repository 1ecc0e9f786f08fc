import { trialPenSchema } from '../../../../../schemas'
import { giveWay } from '../../../../db/trials'
import { readChecked } from '../../../../http/body'
import { idParam } from '../../../../http/params'
import { route } from '../../../../http/route'
import { inWorkshop } from '../../../../http/workshop'

/** Gives a pen the way that was drawn next. */
export default route('PUT /api/findings/trials/:id/pens', async (event) => {
  const id = idParam(event)
  const { pen } = await readChecked(event, trialPenSchema)
  return inWorkshop(event, knex => giveWay(knex, id, pen))
})
