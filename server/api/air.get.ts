import { readAir } from '../db/air-log'
import { route } from '../http/route'
import { inWorkshop } from '../http/workshop'

/** The air as it was read in the last weeks: running waits follow it. */
export default route('GET /api/air', event => inWorkshop(event, readAir))
