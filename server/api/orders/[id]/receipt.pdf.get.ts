import { money } from '../../../../core/format'
import { timedQuerySchema } from '../../../../schemas'
import { readOrder } from '../../../db/orders'
import { readWorkshop } from '../../../db/workshop'
import { answerPaper, workshopName } from '../../../http/paper'
import { idParam, queryOf } from '../../../http/params'
import { rawRoute } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'
import { receipt } from '../../../papers/lists'
import { timesIn } from '../../../papers/times'

/** A receipt of an order, of the day it is where it is asked for. */
export default rawRoute('GET /api/orders/:id/receipt.pdf', async (event) => {
  const { zone } = await queryOf(event, timedQuerySchema)
  const { listed, currency } = await inWorkshop(event, async knex => ({
    listed: await readOrder(knex, 'metric', idParam(event)), currency: (await readWorkshop(knex)).currency,
  }))
  const name = await workshopName(event)
  const { number } = listed.order
  return answerPaper(event, { title: `Receipt for order ${number}`, file: `oxlip-order-${number}` }, sheet =>
    receipt(sheet, listed, minor => money(minor, currency), name, timesIn(zone).day(new Date())))
})
