import type { Knex } from 'knex'
import type { Change, ChangedKind } from '../../contract'

/** The number of the last change of anything but entries; 0 when there was none. */
export async function lastChange(knex: Knex): Promise<number> {
  const row = await knex('changes').max('seq as seq').first()
  return Number(row?.seq ?? 0)
}

/** What was changed after a number, each thing once, and the number up to which that is told. */
export async function changesAfter(knex: Knex, after: number, most: number): Promise<{ upTo: number, changes: Change[] }> {
  const rows: { kind: ChangedKind, ref: string, seq: string }[] = await knex('changes').where('seq', '>', after).orderBy('seq').limit(most)
  return { upTo: Number(rows.at(-1)?.seq ?? after), changes: rows.map(({ kind, ref }) => ({ kind, ref })) }
}
