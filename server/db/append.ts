import type { Knex } from 'knex'
import { replay, type BenchEvent } from '../../core/bench'
import { FieldsError } from '../faults'
import { oneAtATime } from './append-lock'
import { eventsOf } from './log'
import { keepMended, readBase } from './plans'
import { projectPens } from './projections'

/** A device's clock that is wrong by less counts as right, ms: sending takes time too. */
const RIGHT = 2000

/**
 * Appends events; those whose id is known already are passed over, so that sending twice changes nothing. Answers the ids that were
 * new. `sentAt` is the time on the device when it sent them: entries that do not say how wrong its clock was are put right by it. A
 * mend that was chosen, or taken back, makes a new version of its pen's plan; what is kept ready of each pen follows.
 * @throws FieldsError when a pen is not known; then none is kept
 */
export async function appendEvents(knex: Knex, events: readonly BenchEvent[], sentAt?: string): Promise<string[]> {
  const off = sentAt ? Date.parse(sentAt) - Date.now() : undefined
  const measured = off === undefined ? undefined : Math.abs(off) < RIGHT ? 0 : Math.round(off)
  return knex.transaction(async (trx) => {
    const pens = [...new Set(events.map(event => event.pen))]
    const known = new Set<string>(await trx('pens').whereIn('id', pens).pluck('id'))
    const stray = events.findIndex(event => !known.has(event.pen))
    if (stray >= 0) throw new FieldsError({ [`events[${stray}].pen`]: 'There is no such pen.' })
    await oneAtATime(trx)
    const rows = events.map(({ pen, payload, barrels, ahead = measured, ...rest }) => ({
      ...rest,
      pen_id: pen,
      barrels: [...barrels],
      payload: JSON.stringify(payload),
      ahead_ms: ahead ?? null,
    }))
    const added: { id: string, pen_id: string, kind: string }[] = await trx('events')
      .insert(rows)
      .onConflict('id')
      .ignore()
      .returning(['id', 'pen_id', 'kind'])
    for (const pen of new Set(added.filter(row => CHANGES_PLAN.includes(row.kind)).map(row => row.pen_id))) await mend(trx, pen)
    await projectPens(trx, [...new Set(added.map(row => row.pen_id))])
    return added.map(row => row.id)
  })
}

/** Kinds of entries that can change the steps of a plan. */
const CHANGES_PLAN = ['repair', 'coat', 'settle', 'undo']

async function mend(trx: Knex, penId: string): Promise<void> {
  await trx('pens').where({ id: penId }).forUpdate().first('id')
  const base = await readBase(trx, penId)
  await keepMended(trx, penId, base.version, replay(base.plan, await eventsOf(trx, penId)).plan)
}
