import { resetDemo } from '../../../db/demo'
import { ownerDb } from '../../../db/connection'
import { route } from '../../../http/route'

/** Begins the demo anew. */
export default route('PUT /api/workshops/demo', () => resetDemo(ownerDb(), new Date()))
