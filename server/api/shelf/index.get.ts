import { readShelf } from '../../db/shelf'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('GET /api/shelf', event => inWorkshop(event, readShelf))
