import { money } from '../../../core/format'
import { pagePens } from '../../db/rows'
import { readWorkshop } from '../../db/workshop'
import { answerPaper, workshopName } from '../../http/paper'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'
import { priceList } from '../../papers/lists'

/** So many pens lie on a table. */
const MOST = 200

/** The price list for a fair: finished pens that are here. */
export default rawRoute('GET /api/papers/prices.pdf', async (event) => {
  const { pens, currency } = await inWorkshop(event, async knex => ({
    pens: (await pagePens(knex, 'metric', { at: 'here', sort: 'marks', limit: MOST })).pens,
    currency: (await readWorkshop(knex)).currency,
  }))
  const name = await workshopName(event)
  return answerPaper(event, { title: 'Price list', file: 'oxlip-prices' }, sheet =>
    priceList(sheet, pens, minor => money(minor, currency), name))
})
