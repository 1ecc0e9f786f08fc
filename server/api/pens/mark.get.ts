import { db } from '../../db/connection'
import { freeMark } from '../../db/marks'
import { route } from '../../http/route'

/** A mark that no pen in the making has, to go on with. */
export default route('GET /api/pens/mark', async () => ({ free: await freeMark(db()) }))
