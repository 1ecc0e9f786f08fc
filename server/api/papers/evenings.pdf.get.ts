import { timedQuerySchema } from '../../../schemas'
import { latestPlan } from '../../db/evenings'
import { NotFoundError } from '../../faults'
import { answerPaper } from '../../http/paper'
import { queryOf } from '../../http/params'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'
import { eveningSheet } from '../../papers/lists'
import { timesIn } from '../../papers/times'

/** The coming evenings as they were planned last, by the clock of whoever asks. */
export default rawRoute('GET /api/papers/evenings.pdf', async (event) => {
  const { zone } = await queryOf(event, timedQuerySchema)
  const plan = await inWorkshop(event, latestPlan)
  if (!plan) throw new NotFoundError('No evening was planned yet: open the evenings first.')
  return answerPaper(event, { title: 'The coming evenings', file: 'oxlip-evenings' }, sheet =>
    eveningSheet(sheet, plan, timesIn(zone)))
})
