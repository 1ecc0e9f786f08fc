import { getRouterParam } from 'h3'
import { db, ownerDb } from '../../db/connection'
import { readShown, shownBy } from '../../db/shown'
import { withinWorkshop } from '../../db/within'
import { route } from '../../http/route'

/** One pen for whoever it is made for: the secret is all that is asked. */
export default route('GET /api/shown/:secret', async (event) => {
  const { workshop, pen } = await shownBy(ownerDb(), getRouterParam(event, 'secret') ?? '')
  return withinWorkshop(db(), workshop)(knex => readShown(knex, pen))
})
