import { setResponseHeaders } from 'h3'
import { recordOf } from '../../../db/record'
import { asSeen } from '../../../access/unpriced'
import { idParam } from '../../../http/params'
import { rawRoute } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'

const ROUTE = 'GET /api/pens/:id/record.json'

export default rawRoute(ROUTE, async (event) => {
  const { pen, record } = await inWorkshop(event, knex => recordOf(knex, idParam(event)))
  setResponseHeaders(event, {
    'Content-Type': 'application/json; charset=utf-8',
    'Content-Disposition': `attachment; filename="oxlip-${pen.mark}.json"`,
  })
  return JSON.stringify(await asSeen(event, ROUTE, record), null, 2)
})
