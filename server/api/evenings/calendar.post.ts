import { newSecret } from '../../db/evenings'
import { route } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** A new secret address for the calendar; the one before is none any more. */
export default route('POST /api/evenings/calendar', async event => ({ calendar: await inWorkshop(event, newSecret) }))
