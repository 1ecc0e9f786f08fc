import { getRouterParam } from 'h3'
import { money } from '../../../../../core/format'
import { paperQuerySchema } from '../../../../../schemas'
import { paperPen } from '../../../../db/paper-pen'
import { NotFoundError } from '../../../../faults'
import { answerPaper, workshopName } from '../../../../http/paper'
import { idParam, queryOf } from '../../../../http/params'
import { rawRoute } from '../../../../http/route'
import { inWorkshop } from '../../../../http/workshop'
import { handOverCard } from '../../../../papers/hand-over'
import { labelOf, labelSheet } from '../../../../papers/labels'
import { jobCard, storyPaper } from '../../../../papers/of-pen'

/** A postcard, mm. */
const CARD = [105, 148] as const

/** A paper of one pen: `/api/pens/:id/papers/job-card.pdf`. */
export default rawRoute('GET /api/pens/:id/papers/:paper', async (event) => {
  const asked = await queryOf(event, paperQuerySchema, { figures: ['from', 'sheet'] })
  const paper = getRouterParam(event, 'paper')
  const { pen, board, units, story, workshop } = await inWorkshop(event, knex => paperPen(knex, idParam(event)))
  const file = (what: string) => `oxlip-${pen.mark}-${what}`
  switch (paper) {
    case 'job-card.pdf':
      return answerPaper(event, { title: `${pen.mark}, job card`, file: file('job-card') }, sheet =>
        jobCard(sheet, { pen, board, units, cautions: workshop.cautions }))
    case 'story-stick.pdf':
      return answerPaper(event, { title: `${pen.mark}, story stick`, file: file('story-stick') }, sheet =>
        storyPaper(sheet, { board, units }, { perEnd: workshop.perEnd, kerf: workshop.kerf }))
    case 'hand-over.pdf': {
      const name = await workshopName(event)
      return answerPaper(event, { title: pen.name, file: file('card'), size: CARD, margin: 8 }, sheet =>
        handOverCard(sheet, { pen, board, story, words: asked.words ?? '', workshop: name }))
    }
    case 'label.pdf':
      return answerPaper(event, { title: `${pen.mark}, label`, file: file('label') }, (sheet) => {
        const { fitting, material, method } = board.state.plan.inputs
        const made = [fitting, material, method].map(one => one.name).join(', ')
        labelSheet(sheet, [labelOf(pen, made, minor => money(minor, workshop.currency))], asked.sheet ?? 24, asked.from)
      })
    default:
      throw new NotFoundError('There is no such paper.')
  }
})
