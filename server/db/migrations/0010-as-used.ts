import type { Knex } from 'knex'

/**
 * How each abrasive is used, for databases that the first form of 0003 made: that migration was changed after its release, and who had
 * it already never got these columns. Others have them.
 */
export async function up(knex: Knex): Promise<void> {
  for (const column of ['wet', 'dry']) await knex.raw(`alter table shelf_items add column if not exists ${column} boolean`)
}

/** Nothing is taken away: 0003 as it is now has these columns too. */
export async function down(): Promise<void> {}
