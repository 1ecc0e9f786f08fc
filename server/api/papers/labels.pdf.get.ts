import { money } from '../../../core/format'
import { labelsQuerySchema } from '../../../schemas'
import { listMethods } from '../../db/methods'
import { rowsOf } from '../../db/rows'
import { readWorkshop } from '../../db/workshop'
import { answerPaper } from '../../http/paper'
import { queryOf } from '../../http/params'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'
import { labelOf, labelSheet } from '../../papers/labels'

/** Labels of several pens on one sheet, in the order of their marks. */
export default rawRoute('GET /api/papers/labels.pdf', async (event) => {
  const { pens, sheet: kind = 24, from } = await queryOf(event, labelsQuerySchema, { figures: ['from', 'sheet'], lists: ['pens'] })
  const { rows, names, currency } = await inWorkshop(event, async knex => ({
    rows: await rowsOf(knex, 'metric', pens),
    names: new Map((await listMethods(knex)).map(({ id, name }) => [id, name])),
    currency: (await readWorkshop(knex)).currency,
  }))
  const labels = rows
    .sort((a, b) => a.pen.mark.localeCompare(b.pen.mark, 'en', { numeric: true }))
    .map(({ pen, summary: { fitting, material } }) => {
      const made = [fitting.name, material.name, names.get(pen.method) ?? ''].filter(Boolean).join(', ')
      return labelOf(pen, made, minor => money(minor, currency))
    })
  return answerPaper(event, { title: 'Labels', file: 'oxlip-labels' }, sheet => labelSheet(sheet, labels, kind, from))
})
