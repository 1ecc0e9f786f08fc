import { roleIn, whoIs } from '../../access/who'
import { lastChange } from '../../db/changes'
import { lastSeq, logsOf } from '../../db/log'
import { plansOf } from '../../db/plans'
import { inWork } from '../../db/rows'
import { route } from '../../http/route'
import { inWorkshop, workshopOf } from '../../http/workshop'

/** Every pen in work, with all that its screen is worked out from; makers and pupils have their own there, and nobody else’s. */
export default route('GET /api/bench', async (event) => {
  const [who, workshop] = [await whoIs(event), await workshopOf(event)]
  const role = who && roleIn(who, workshop)
  const own = role === 'maker' || role === 'pupil' ? who?.person?.id : undefined
  return inWorkshop(event, async (knex) => {
    // The numbers first: what comes in meanwhile is then told twice, never missed.
    const [seq, changed] = [await lastSeq(knex), await lastChange(knex)]
    const pens = await inWork(knex, own)
    const ids = pens.map(pen => pen.id)
    const [plans, logs] = [await plansOf(knex, ids), await logsOf(knex, ids)]
    return {
      seq,
      changed,
      pens: pens.map(pen => ({ pen, plan: plans.get(pen.id) ?? null, events: logs.get(pen.id) ?? [] })),
    }
  })
})
