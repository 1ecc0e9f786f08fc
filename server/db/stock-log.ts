import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import type { StockMove } from '../../contract'

/** So many are shown. */
const SHOWN = 50

/** A count at the shelf that differs from what the log had is kept with both. */
export async function noteCount(knex: Knex, what: string, was: number | null, now: number | null): Promise<void> {
  if (was !== now) await knex('stock_log').insert({ id: randomUUID(), what, how: 'counted', was, now })
}

/** What was bought and counted lately, the latest first. */
export async function latestMoves(knex: Knex): Promise<StockMove[]> {
  const rows: (Omit<StockMove, 'at'> & { at: Date })[] = await knex('stock_log')
    .orderBy([{ column: 'at', order: 'desc' }, 'id']).limit(SHOWN).select('id', 'what', 'how', 'at', 'was', 'now', 'pieces', 'each')
  return rows.map(row => ({ ...row, at: row.at.toISOString() }))
}

/** What is thrown away is kept with what was in it, ml. */
export const noteThrown = (knex: Knex, what: string, was: number | null): Promise<unknown> =>
  knex('stock_log').insert({ id: randomUUID(), what, how: 'thrown away', was, now: 0 })
