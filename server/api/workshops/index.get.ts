import { whoIs } from '../../access/who'
import { ownerDb } from '../../db/connection'
import { listWorkshops } from '../../db/workshops'
import { route } from '../../http/route'

export default route('GET /api/workshops', async event => listWorkshops(ownerDb(), await whoIs(event)))
