import { unnamed } from '../../access/by-name'
import { db } from '../../db/connection'
import { findingsPlace, workOutPlace } from '../../db/findings'
import { withinWorkshop } from '../../db/within'
import { afterwards } from '../../http/afterwards'
import { route } from '../../http/route'
import { workshopOf } from '../../http/workshop'

/** What stands out in the log, and which questions it can answer. */
export default route('GET /api/findings', async (event) => {
  const workshop = await workshopOf(event)
  const within = withinWorkshop(db(), workshop)
  const { place, isOld } = await within(findingsPlace)
  if (isOld) afterwards(`findings ${workshop}`, () => within(knex => workOutPlace(knex)))
  return unnamed(event, place)
})
