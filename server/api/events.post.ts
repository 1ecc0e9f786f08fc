import { asBenchEvent, eventBatchSchema } from '../../schemas'
import { db } from '../db/connection'
import { appendTogether } from '../db/append-together'
import { withinWorkshop } from '../db/within'
import { readChecked } from '../http/body'
import { route } from '../http/route'
import { workshopOf } from '../http/workshop'

export default route('POST /api/events', async (event) => {
  const { events, sentAt } = await readChecked(event, eventBatchSchema)
  const workshop = await workshopOf(event)
  const place = { workshop, within: withinWorkshop(db(), workshop) }
  const added = new Set(await appendTogether(place, events.map(asBenchEvent), sentAt))
  const ids = events.map(one => one.id)
  return { added: ids.filter(id => added.has(id)), known: ids.filter(id => !added.has(id)) }
})
