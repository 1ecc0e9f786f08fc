import { listBlanks } from '../../db/blanks'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('GET /api/blanks', event => inWorkshop(event, listBlanks))
