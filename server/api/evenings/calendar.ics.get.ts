import { latestPlan } from '../../db/evenings'
import { calendarFile } from '../../http/calendar'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** The evenings as they are planned, as a file for a calendar program. */
export default rawRoute('GET /api/evenings/calendar.ics', async event => calendarFile(event, await inWorkshop(event, latestPlan)))
