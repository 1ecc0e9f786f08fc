import { Readable } from 'node:stream'
import { getRouterParam, sendStream, setResponseHeaders } from 'h3'
import { tableNames, type CsvDialect, type TableName } from '../../../contract'
import { tableQuerySchema } from '../../../schemas'
import { db } from '../../db/connection'
import { columnsOf, tableRows } from '../../db/tables'
import { withinWorkshop, type Within } from '../../db/within'
import { csvOf } from '../../export/tables'
import { NotFoundError } from '../../faults'
import { queryOf } from '../../http/params'
import { rawRoute } from '../../http/route'
import { workshopOf } from '../../http/workshop'

/** A table of a workshop for a spreadsheet, lot by lot: `/api/tables/pens.csv`. */
export default rawRoute('GET /api/tables/:table', async (event) => {
  const table = tableNames.find(one => `${one}.csv` === getRouterParam(event, 'table'))
  if (!table) throw new NotFoundError('There is no such table.')
  const { dialect = 'point' } = await queryOf(event, tableQuerySchema)
  const within = withinWorkshop(db(), await workshopOf(event))
  // A workshop that is not there is told before anything has left.
  await within(async () => undefined)
  setResponseHeaders(event, {
    'Content-Type': 'text/csv; charset=utf-8',
    'Content-Disposition': `attachment; filename="oxlip-${table}.csv"`,
  })
  return sendStream(event, Readable.from(written(within, table, dialect)))
})

async function* written(within: Within, table: TableName, dialect: CsvDialect): AsyncGenerator<string> {
  const columns = columnsOf(table)
  yield csvOf([], columns, dialect)
  for await (const rows of tableRows(within, table)) yield csvOf(rows, columns, dialect, false)
}
