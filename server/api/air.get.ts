import { db } from '../db/connection'
import { readAir } from '../db/air-log'
import { route } from '../http/route'

/** The air as it was read in the last weeks: running waits follow it. */
export default route('GET /api/air', async () => readAir(db()))
