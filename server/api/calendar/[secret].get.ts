import { getRouterParam } from 'h3'
import { db, ownerDb } from '../../db/connection'
import { latestPlan, workshopBySecret } from '../../db/evenings'
import { withinWorkshop } from '../../db/within'
import { calendarFile } from '../../http/calendar'
import { rawRoute } from '../../http/route'

/** The same under a secret address, which a calendar program reads again and again. */
export default rawRoute('GET /api/calendar/:secret', async (event) => {
  const secret = (getRouterParam(event, 'secret') ?? '').replace(/\.ics$/, '')
  const workshop = await workshopBySecret(ownerDb(), secret)
  return calendarFile(event, await withinWorkshop(db(), workshop)(latestPlan))
})
