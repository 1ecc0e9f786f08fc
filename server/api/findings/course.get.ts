import { courseQuerySchema } from '../../../schemas'
import { figureCourse } from '../../db/pictures'
import { queryOf } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** How a figure went from pen to pen. */
export default route('GET /api/findings/course', async (event) => {
  const asked = await queryOf(event, courseQuerySchema)
  return inWorkshop(event, knex => figureCourse(knex, asked))
})
