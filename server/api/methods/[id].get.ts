import { methodHistory } from '../../db/methods'
import { nameParam } from '../../http/params'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('GET /api/methods/:id', event => inWorkshop(event, knex => methodHistory(knex, nameParam(event))))
