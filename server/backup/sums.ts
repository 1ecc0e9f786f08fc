import type { Knex } from 'knex'

/** What a table holds: how many rows, and a sum over all that stands in them, in whatever order. */
export interface TableSum {
  /** How many rows. */
  rows: number
  /** Sixty bits of each row's MD5, added up. */
  sum: string
}

/**
 * What every table of a database holds, by its name: two databases in which all of it is alike hold the same. Within one transaction it is
 * of one moment.
 */
export async function tableSums(knex: Knex): Promise<Record<string, TableSum>> {
  // Moments and figures are written alike wherever it runs.
  await knex.raw('set local timezone = \'UTC\'')
  await knex.raw('set local datestyle = \'ISO\'')
  await knex.raw('set local extra_float_digits = 1')
  const tables: string[] = await knex('pg_tables').where({ schemaname: 'public' }).orderBy('tablename').pluck('tablename')
  const sums: Record<string, TableSum> = {}
  for (const table of tables) {
    const { rows: [found] }: { rows: { rows: string, sum: string }[] } = await knex.raw(
      `select count(*) as rows, coalesce(sum(('x' || left(md5(t::text), 15))::bit(60)::bigint), 0)::text as sum from ?? as t`, [table])
    sums[table] = { rows: Number(found?.rows), sum: found?.sum ?? '0' }
  }
  return sums
}

/** Tables in which two databases differ. */
export const differing = (one: Readonly<Record<string, TableSum>>, other: Readonly<Record<string, TableSum>>): string[] =>
  [...new Set([...Object.keys(one), ...Object.keys(other)])]
    .filter(table => one[table]?.rows !== other[table]?.rows || one[table]?.sum !== other[table]?.sum)
