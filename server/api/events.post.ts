import { asBenchEvent, eventBatchSchema } from '../../schemas'
import { appendTogether } from '../db/append-together'
import { readChecked } from '../http/body'
import { route } from '../http/route'
import { ownPens, placeOf } from '../http/workshop'

export default route('POST /api/events', async (event) => {
  const { events, sentAt } = await readChecked(event, eventBatchSchema)
  const [{ person, ...place }, own] = [await placeOf(event), await ownPens(event)]
  const added = new Set(await appendTogether(place, events.map(asBenchEvent), { sentAt, by: person, own }))
  const ids = events.map(one => one.id)
  return { added: ids.filter(id => added.has(id)), known: ids.filter(id => !added.has(id)) }
})
