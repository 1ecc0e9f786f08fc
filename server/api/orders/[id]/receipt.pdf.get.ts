import { format } from 'date-fns'
import { money } from '../../../../core/format'
import { readOrder } from '../../../db/orders'
import { readWorkshop } from '../../../db/workshop'
import { answerPaper, workshopName } from '../../../http/paper'
import { idParam } from '../../../http/params'
import { rawRoute } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'
import { receipt } from '../../../papers/lists'

/** A receipt of an order. */
export default rawRoute('GET /api/orders/:id/receipt.pdf', async (event) => {
  const { listed, currency } = await inWorkshop(event, async knex => ({
    listed: await readOrder(knex, 'metric', idParam(event)), currency: (await readWorkshop(knex)).currency,
  }))
  const name = await workshopName(event)
  const { number } = listed.order
  return answerPaper(event, { title: `Receipt for order ${number}`, file: `oxlip-order-${number}` }, sheet =>
    receipt(sheet, listed, minor => money(minor, currency), name, format(new Date(), 'd MMMM yyyy')))
})
