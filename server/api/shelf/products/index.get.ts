import { listOwnProducts } from '../../../db/own-products'
import { route } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

export default route('GET /api/shelf/products', event => inWorkshop(event, listOwnProducts))
