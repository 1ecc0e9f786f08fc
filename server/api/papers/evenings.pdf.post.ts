import { keptPlanSchema, timedQuerySchema } from '../../../schemas'
import { readChecked } from '../../http/body'
import { answerPaper } from '../../http/paper'
import { queryOf } from '../../http/params'
import { rawRoute } from '../../http/route'
import { eveningSheet } from '../../papers/lists'
import { timesIn } from '../../papers/times'

/** The coming evenings as they stand on the screen of whoever asks, by their clock. */
export default rawRoute('POST /api/papers/evenings.pdf', async (event) => {
  const { zone } = await queryOf(event, timedQuerySchema)
  const plan = await readChecked(event, keptPlanSchema)
  return answerPaper(event, { title: 'The coming evenings', file: 'oxlip-evenings' }, sheet =>
    eveningSheet(sheet, plan, timesIn(zone)))
})
