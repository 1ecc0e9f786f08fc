import { marksSchema } from '../../../../schemas'
import { giveMarks, readClass } from '../../../db/classes'
import { readWorkshop } from '../../../db/workshop'
import { readChecked } from '../../../http/body'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

/** What the teacher gives a pen. */
export default route('PUT /api/classes/:id/marks', async (event) => {
  const [marks, id] = [await readChecked(event, marksSchema), idParam(event)]
  return inWorkshop(event, async (knex) => {
    await giveMarks(knex, id, marks)
    return readClass(knex, (await readWorkshop(knex)).units, id)
  })
})
