import { setResponseHeaders } from 'h3'
import { findingTableQuerySchema } from '../../../schemas'
import { answerFinding } from '../../db/findings'
import { findingRows } from '../../export/finding'
import { csvOf } from '../../export/tables'
import { queryOf } from '../../http/params'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** An answer for a spreadsheet. */
export default rawRoute('GET /api/findings/answer.csv', async (event) => {
  const { dialect = 'point', ...asked } = await queryOf(event, findingTableQuerySchema, { lists: ['among'] })
  const rows = findingRows(await inWorkshop(event, knex => answerFinding(knex, asked)))
  setResponseHeaders(event, {
    'Content-Type': 'text/csv; charset=utf-8',
    'Content-Disposition': 'attachment; filename="oxlip-finding.csv"',
  })
  return csvOf(rows, Object.keys(rows[0] ?? { value: null, pens: null }), dialect)
})
