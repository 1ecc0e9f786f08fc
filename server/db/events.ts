import type { Knex } from 'knex'
import type { StoredEvent } from '../../contract'
import { replay, type BenchEvent } from '../../core/bench'
import { FieldsError } from '../faults'
import { keepMended, readBase } from './plans'

interface Row {
  id: string
  seq: string
  pen_id: string
  kind: string
  barrels: string[]
  at: Date
  received_at: Date
  device: string
  ahead_ms: string | null
  payload: unknown
}

const asEvent = (row: Row): StoredEvent =>
  ({
    id: row.id,
    pen: row.pen_id,
    kind: row.kind,
    barrels: row.barrels,
    at: row.at.toISOString(),
    device: row.device,
    payload: row.payload,
    ...(row.ahead_ms === null ? {} : { ahead: Number(row.ahead_ms) }),
    seq: Number(row.seq),
    receivedAt: row.received_at.toISOString(),
  }) as StoredEvent

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

/** The entries that came in after one, in the order they came in. */
export async function eventsAfter(knex: Knex, seq: number, most: number): Promise<StoredEvent[]> {
  const rows = await knex<Row>('events').where('seq', '>', seq).orderBy('seq').limit(most)
  return rows.map(asEvent)
}

/** The number of the last entry that came in; 0 when there is none. */
export async function lastSeq(knex: Knex): Promise<number> {
  const row = await knex('events').max('seq as seq').first()
  return Number(row?.seq ?? 0)
}

/**
 * When steps of other pens were entered while this one was worked, in their order: hands that were on those were not on this one. The
 * demo's made-up entries do not count.
 */
export async function elsewhereOf(knex: Knex, penId: string): Promise<string[]> {
  const at = '(at - make_interval(secs => coalesce(ahead_ms, 0) / 1000.0))'
  const own = (await knex('events')
    .where({ pen_id: penId })
    .whereNot({ device: 'demo' })
    .select(knex.raw(`min(${at}) as first, max(${at}) as last`))
    .first()) as unknown as { first: Date | null, last: Date | null }
  if (!own.first || !own.last) return []
  const rows = (await knex('events')
    .whereNot({ pen_id: penId })
    .whereNot({ device: 'demo' })
    .whereIn('kind', ['begin', 'done', 'skip', 'coat'])
    .whereRaw(`${at} between ? and ?`, [own.first, own.last])
    .orderByRaw(at)
    .select(knex.raw(`${at} as at`))) as unknown as { at: Date }[]
  return rows.map(row => row.at.toISOString())
}

/** A device's clock that is wrong by less counts as right, ms: sending takes time too. */
const RIGHT = 2000

/** Any number, the same for every Oxlip: appending is one at a time, so that `seq` grows in the order in which rows become visible. */
const APPEND_LOCK = 7_265_302

/**
 * Appends events; those whose id is known already are passed over, so that sending twice changes nothing. Answers the ids that were
 * new. `sentAt` is the time on the device when it sent them: entries that do not say how wrong its clock was are put right by it. A
 * mend that was chosen, or taken back, makes a new version of its pen's plan.
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
    await trx.raw('select pg_advisory_xact_lock(?)', [APPEND_LOCK])
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
    return added.map(row => row.id)
  })
}

/** Kinds of entries that can change the steps of a plan. */
const CHANGES_PLAN = ['repair', 'coat', 'settle', 'undo']

async function mend(trx: Knex, penId: string): Promise<void> {
  const base = await readBase(trx, penId)
  await keepMended(trx, penId, base.version, replay(base.plan, await eventsOf(trx, penId)).plan)
}
