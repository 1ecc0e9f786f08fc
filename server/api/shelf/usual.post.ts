import { fillShelf } from '../../db/shelf'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

export default route('POST /api/shelf/usual', event => inWorkshop(event, fillShelf))
