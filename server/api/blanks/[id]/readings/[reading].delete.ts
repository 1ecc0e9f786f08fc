import { dropReading } from '../../../../db/blanks'
import { idParam } from '../../../../http/params'
import { route } from '../../../../http/route'
import { inWorkshop } from '../../../../http/workshop'

export default route('DELETE /api/blanks/:id/readings/:reading', event =>
  inWorkshop(event, knex => dropReading(knex, idParam(event), idParam(event, 'reading'))),
)
