import type { Knex } from 'knex'
import type { StoredEvent } from '../../contract'
import type { BenchEvent } from '../../core/bench'

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
  by_person: string | null
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
    ...(row.by_person ? { by: row.by_person } : {}),
    seq: Number(row.seq),
    receivedAt: row.received_at.toISOString(),
  }) as StoredEvent

/** An entry as a row; `ahead` is how far its device’s clock was ahead, ms, where that is known. */
export const asRow = ({ pen, payload, barrels, ahead: _, ...rest }: BenchEvent, ahead: number | null = null) =>
  ({ ...rest, pen_id: pen, barrels: [...barrels], payload: JSON.stringify(payload), ahead_ms: ahead })

/** Keeps entries that are made here; who does so holds the append lock. */
export async function keepEntries(trx: Knex, events: readonly BenchEvent[]): Promise<void> {
  await trx('events').insert(events.map(event => asRow(event)))
}

/** The log of one pen, in the order it came in. */
export async function eventsOf(knex: Knex, penId: string): Promise<StoredEvent[]> {
  const rows = await knex<Row>('events').where({ pen_id: penId }).orderBy('seq')
  return rows.map(asEvent)
}

/** The logs of some pens, by pen, each in the order it came in. */
export async function logsOf(knex: Knex, penIds: readonly string[]): Promise<Map<string, StoredEvent[]>> {
  const rows: Row[] = await knex<Row>('events').whereIn('pen_id', penIds).orderBy('seq')
  const logs = new Map<string, StoredEvent[]>(penIds.map(id => [id, []]))
  for (const row of rows) logs.get(row.pen_id)?.push(asEvent(row))
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
 * When steps of other pens were entered while this one was worked, in their order: hands that were on those were not on this one.
 */
export async function elsewhereOf(knex: Knex, penId: string): Promise<string[]> {
  const own = (await knex('events')
    .where({ pen_id: penId })
    .select(knex.raw('min(happened_at) as first, max(happened_at) as last'))
    .first()) as unknown as { first: Date | null, last: Date | null }
  if (!own.first || !own.last) return []
  const rows = (await knex('events')
    .whereNot({ pen_id: penId })
    .whereIn('kind', ['begin', 'done', 'skip', 'coat'])
    .whereBetween('happened_at', [own.first, own.last])
    .orderBy('happened_at')
    .select('happened_at as at')) as unknown as { at: Date }[]
  return rows.map(row => row.at.toISOString())
}
