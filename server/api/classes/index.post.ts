import { newClassSchema, type NewClass } from '../../../schemas'
import { createClass } from '../../db/classes'
import { refuseStrangers } from '../../http/people'
import { readChecked } from '../../http/body'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** Sets a class up, with a pen for each of its pupils. */
export default route('POST /api/classes', async (event) => {
  const wanted = (await readChecked(event, newClassSchema)) as NewClass
  await refuseStrangers(event, wanted.people)
  return inWorkshop(event, knex => createClass(knex, wanted))
}, { created: true })
