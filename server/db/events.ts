import type { Knex } from 'knex'
import type { BenchEvent } from '../../core/bench'
import { FieldsError } from '../http/errors'

/** An event with what the server adds: its place in the log and when it came in. */
export type StoredEvent = BenchEvent & { seq: number, receivedAt: string }

interface Row {
  id: string
  seq: string
  pen_id: string
  kind: string
  barrels: string[]
  at: Date
  received_at: Date
  device: string
  payload: unknown
}

const asEvent = (row: Row): StoredEvent => ({
  id: row.id, pen: row.pen_id, kind: row.kind, barrels: row.barrels, at: row.at.toISOString(), device: row.device, payload: row.payload,
  seq: Number(row.seq), receivedAt: row.received_at.toISOString(),
} as StoredEvent)

/** The log of one pen, in the order it came in. */
export async function eventsOf(knex: Knex, penId: string): Promise<StoredEvent[]> {
  const rows = await knex<Row>('events').where({ pen_id: penId }).orderBy('seq')
  return rows.map(asEvent)
}

/** The logs of all pens, by pen. */
export async function eventsByPen(knex: Knex): Promise<Map<string, StoredEvent[]>> {
  const rows = await knex<Row>('events').orderBy('seq')
  const logs = new Map<string, StoredEvent[]>()
  for (const row of rows) {
    const log = logs.get(row.pen_id)
    if (log) log.push(asEvent(row))
    else logs.set(row.pen_id, [asEvent(row)])
  }
  return logs
}

/** Any number, the same for every Oxlip: appending is one at a time, so that `seq` grows in the order in which rows become visible. */
const APPEND_LOCK = 7_265_302

/**
 * Appends events; those whose id is known already are passed over, so that sending twice changes nothing. Answers the ids that were new.
 * @throws FieldsError when a pen is not known; then none is kept
 */
export async function appendEvents(knex: Knex, events: readonly BenchEvent[]): Promise<string[]> {
  return knex.transaction(async (trx) => {
    const pens = [...new Set(events.map(event => event.pen))]
    const known = new Set<string>(await trx('pens').whereIn('id', pens).pluck('id'))
    const stray = events.findIndex(event => !known.has(event.pen))
    if (stray >= 0) throw new FieldsError({ [`events[${stray}].pen`]: 'There is no such pen.' })
    await trx.raw('select pg_advisory_xact_lock(?)', [APPEND_LOCK])
    const rows = events.map(({ pen, payload, barrels, ...rest }) => ({ ...rest, pen_id: pen, barrels: [...barrels], payload: JSON.stringify(payload) }))
    const added = await trx('events').insert(rows).onConflict('id').ignore().returning('id')
    return added.map(row => row.id)
  })
}
