import { format } from 'date-fns'
import { latestPlan } from '../../db/evenings'
import { NotFoundError } from '../../faults'
import { answerPaper } from '../../http/paper'
import { rawRoute } from '../../http/route'
import { inWorkshop } from '../../http/workshop'
import { eveningSheet } from '../../papers/lists'

/** The coming evenings as they were planned last, by the clock of the machine that Oxlip runs on. */
export default rawRoute('GET /api/papers/evenings.pdf', async (event) => {
  const plan = await inWorkshop(event, latestPlan)
  if (!plan) throw new NotFoundError('No evening was planned yet: open the evenings first.')
  return answerPaper(event, { title: 'The coming evenings', file: 'oxlip-evenings' }, sheet =>
    eveningSheet(sheet, plan, iso => format(new Date(iso), 'HH:mm'), iso => format(new Date(iso), 'EEEE d MMMM')))
})
