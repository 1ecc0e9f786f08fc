import type { Knex } from 'knex'

/**
 * A statement that each connection prepares once, by its name: its text is read and a way to its rows is looked for then, not each time.
 * For what runs with each entry; names stand for one text only.
 */
export const named = <Row>(name: string, sql: string) => async (trx: Knex, ...values: (Knex.Value | null)[]): Promise<Row[]> => {
  const { rows } = await trx.raw<{ rows: Row[] }>(sql, values as Knex.Value[]).options({ name })
  return rows
}
