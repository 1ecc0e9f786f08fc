import { listBits } from '../db/bits'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

export default route('GET /api/bits', event => inWorkshop(event, listBits))
