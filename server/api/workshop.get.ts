import { readWorkshop } from '../db/workshop'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

export default route('GET /api/workshop', event => inWorkshop(event, readWorkshop))
