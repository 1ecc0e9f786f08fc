import { dropPin } from '../../../db/evenings'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('DELETE /api/evenings/pins/:id', event => inWorkshop(event, knex => dropPin(knex, idParam(event))))
