import { db } from '../../db/connection'
import { nextDue } from '../../db/rows'
import { route } from '../../http/route'

/** The day that is due first, and how far its pens are. */
export default route('GET /api/pens/due', async () => ({ due: await nextDue(db()) }))
