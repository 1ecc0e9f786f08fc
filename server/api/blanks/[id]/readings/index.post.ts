import { readingSchema } from '../../../../../schemas'
import { addReading } from '../../../../db/blanks'
import { readChecked } from '../../../../http/body'
import { idParam } from '../../../../http/params'
import { route } from '../../../../http/route'
import { inWorkshop } from '../../../../http/workshop'

export default route('POST /api/blanks/:id/readings', async (event) => {
  const reading = await readChecked(event, readingSchema)
  return inWorkshop(event, knex => addReading(knex, idParam(event), reading))
})
