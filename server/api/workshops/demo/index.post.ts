import { setUpDemo } from '../../../db/demo'
import { ownerDb } from '../../../db/connection'
import { route } from '../../../http/route'

/** Sets up the demo. */
export default route('POST /api/workshops/demo', () => setUpDemo(ownerDb(), new Date()), { created: true })
