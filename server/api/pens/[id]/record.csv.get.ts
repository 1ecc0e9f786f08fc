import { setResponseHeaders } from 'h3'
import { db } from '../../../db/connection'
import { readAir } from '../../../db/air-log'
import { elsewhereOf, eventsOf } from '../../../db/log'
import { readPen } from '../../../db/pens'
import { readPlan } from '../../../db/plans'
import { recordCsv, savedRecord } from '../../../export/record'
import { idParam } from '../../../http/params'
import { rawRoute } from '../../../http/route'

export default rawRoute(async (event) => {
  const knex = db()
  const pen = await readPen(knex, idParam(event))
  setResponseHeaders(event, {
    'Content-Type': 'text/csv; charset=utf-8',
    'Content-Disposition': `attachment; filename="oxlip-${pen.mark}.csv"`,
  })
  return recordCsv(
    savedRecord(pen, await readPlan(knex, pen), await eventsOf(knex, pen.id), await readAir(knex), await elsewhereOf(knex, pen.id)),
  )
})
