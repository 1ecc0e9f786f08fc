import { db } from '../db/connection'
import { route } from '../http/route'

export default route('GET /api/health', async () => {
  await db().raw('select 1')
  return { ok: true }
})
