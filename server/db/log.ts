import type { Knex } from 'knex'
import type { StoredEvent } from '../../contract'
import type { BenchEvent } from '../../core/bench'
import { named } from './named'

/** An entry as it is read: its columns in the order of `COLUMNS`, times in ms. */
export type LogRow = [
  id: string, seq: number, pen: string, kind: string, barrels: string[], at: number, receivedAt: number, device: string,
  ahead: number | null, payload: unknown, by: string | null,
]

/** Times as whole numbers: of text there is more, and reading it takes longer than all else of a row. */
const ms = (column: string): string => `floor(extract(epoch from ${column}) * 1000)::bigint`
const COLUMNS = ['id', 'seq', 'pen_id', 'kind', 'barrels', ms('at'), ms('received_at'), 'device', 'ahead_ms', 'payload', 'by_person']
const ROW = `json_build_array(${COLUMNS.join()})`

/** The log of the row of `pens` that this stands beside, in the order it came in, for `logFrom`. */
export const LOG = `select json_agg(${ROW} order by seq) from events where pen_id = pens.id`

const asEvent = ([id, seq, pen, kind, barrels, at, receivedAt, device, ahead, payload, by]: LogRow): StoredEvent =>
  ({
    id,
    pen,
    kind,
    barrels,
    at: new Date(at).toISOString(),
    device,
    payload,
    ...(ahead === null ? {} : { ahead }),
    ...(by ? { by } : {}),
    seq,
    receivedAt: new Date(receivedAt).toISOString(),
  }) as StoredEvent

/** Entries out of what `LOG` answers. */
export const logFrom = (rows: readonly LogRow[] | null): StoredEvent[] => (rows ?? []).map(asEvent)

/** An entry as a row; `ahead` is how far its device’s clock was ahead, ms, where that is known. */
export const asRow = ({ pen, barrels, ahead: _, ...rest }: BenchEvent, ahead: number | null = null) =>
  ({ ...rest, barrels: [...barrels], pen_id: pen, ahead_ms: ahead })

/** Keeps entries that are made here, as of whoever the transaction is of; who does so holds the append lock. */
export async function keepEntries(trx: Knex, events: readonly BenchEvent[]): Promise<void> {
  await trx('events').insert(events.map(event => asRow(event)).map(row => ({ ...row, payload: JSON.stringify(row.payload) })))
}

const NEW = 'id, pen_id, kind, barrels, at, device, ahead_ms, payload, by_person'

const insertNew = named<{ id: string, pen_id: string, kind: string }>('append', `
  insert into events (${NEW})
  select ${NEW} from jsonb_to_recordset(?::jsonb) as one (
    id uuid, pen_id uuid, kind text, barrels text[], at timestamptz, device text, ahead_ms bigint, payload jsonb, by_person uuid)
  on conflict (workshop_id, id) do nothing
  returning id, pen_id, kind`)

/** Keeps those rows whose id is not known yet, and answers which they were; who does so holds the append lock. */
export const keepNew = async (trx: Knex, rows: readonly object[]) => insertNew(trx, JSON.stringify(rows))

/** The log of one pen, in the order it came in. */
export async function eventsOf(knex: Knex, penId: string): Promise<StoredEvent[]> {
  return (await logsOf(knex, [penId])).get(penId) ?? []
}

interface OneLog {
  pen: string
  log: LogRow[] | null
}

const readLogs = named<OneLog>('logs', `select id as pen, (${LOG}) as log from pens where id = any(?::uuid[])`)

/** The logs of some pens, by pen, each in the order it came in. */
export async function logsOf(knex: Knex, penIds: readonly string[]): Promise<Map<string, StoredEvent[]>> {
  const logs = new Map<string, StoredEvent[]>(penIds.map(id => [id, []]))
  for (const { pen, log } of await readLogs(knex, [...penIds])) logs.set(pen, logFrom(log))
  return logs
}

const readAfter = named<{ log: LogRow[] | null }>('entries after', `
  select json_agg(${ROW} order by seq) as log from (select * from events where seq > ? order by seq limit ?) as events`)

/** The entries that came in after one, in the order they came in. */
export async function eventsAfter(knex: Knex, seq: number, most: number): Promise<StoredEvent[]> {
  return logFrom((await readAfter(knex, seq, most))[0]?.log ?? null)
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
