import { readClass } from '../../../db/classes'
import { readWorkshop } from '../../../db/workshop'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('GET /api/classes/:id', async event =>
  inWorkshop(event, async knex => readClass(knex, (await readWorkshop(knex)).units, idParam(event))))
