import { setResponseHeaders } from 'h3'
import { paperPen } from '../../../db/paper-pen'
import { idParam } from '../../../http/params'
import { rawRoute } from '../../../http/route'
import { inWorkshop } from '../../../http/workshop'
import { penSvg } from '../../../papers/drawing'

/** A pen as a drawing at full size. */
export default rawRoute('GET /api/pens/:id/drawing.svg', async (event) => {
  const { pen, board } = await inWorkshop(event, knex => paperPen(knex, idParam(event)))
  const { fitting, material, wishes } = board.state.plan.inputs
  setResponseHeaders(event, { 'Content-Type': 'image/svg+xml', 'Content-Disposition': `attachment; filename="oxlip-${pen.mark}.svg"` })
  return penSvg({ fitting, colour: material.colour, ...(wishes.shapes ? { shapes: wishes.shapes } : {}) }, `${pen.mark}, ${pen.name}`)
})
