import { setResponseHeaders } from 'h3'
import type { Person } from '../../../contract'
import { findingTableQuerySchema } from '../../../schemas'
import { refuseByName } from '../../access/by-name'
import { answerFinding } from '../../db/findings'
import type { TableRow } from '../../db/tables'
import { findingRows } from '../../export/finding'
import { csvOf } from '../../export/tables'
import { queryOf } from '../../http/params'
import { peopleHere } from '../../http/people'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'

/** An answer for a spreadsheet. */
export default rawRoute('GET /api/findings/answer.csv', async (event) => {
  const { dialect = 'point', ...asked } = await queryOf(event, findingTableQuerySchema, { lists: ['among'] })
  await refuseByName(event, asked)
  const told = findingRows(await inWorkshop(event, knex => answerFinding(knex, asked)))
  const rows = asked.by === 'who' ? named(told, await peopleHere(event)) : told
  setResponseHeaders(event, {
    'Content-Type': 'text/csv; charset=utf-8',
    'Content-Disposition': 'attachment; filename="oxlip-finding.csv"',
  })
  return csvOf(rows, Object.keys(rows[0] ?? { value: null, pens: null }), dialect)
})

/** The same with what people are called. */
const named = (rows: readonly TableRow[], people: readonly Person[]): TableRow[] =>
  rows.map(row => ({ ...row, value: people.find(one => one.id === row.value)?.name ?? 'somebody' }))
