import type { Plan } from '../../../../core/plan'
import { db } from '../../../db/connection'
import { elsewhereOf, eventsOf, type StoredEvent } from '../../../db/events'
import { readPen, type Pen } from '../../../db/pens'
import { readPlan } from '../../../db/plans'
import { idParam } from '../../../http/params'
import { route } from '../../../http/route'

/** A pen with everything that its screens are worked out from. */
export interface WholePen {
  pen: Pen
  plan: Plan
  events: StoredEvent[]
  /** When steps of other pens were entered meanwhile. */
  elsewhere: string[]
}

export default route(async (event): Promise<WholePen> => {
  const knex = db()
  const pen = await readPen(knex, idParam(event))
  return { pen, plan: await readPlan(knex, pen), events: await eventsOf(knex, pen.id), elsewhere: await elsewhereOf(knex, pen.id) }
})
