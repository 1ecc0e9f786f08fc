import { accessHere } from '../../http/people'
import { route } from '../../http/route'

export default route('GET /api/people/access', accessHere)
