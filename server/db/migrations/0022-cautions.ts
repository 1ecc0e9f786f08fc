import type { Knex } from 'knex'

/** What the turner minds at a kind of step, in their own words. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table workshop add column cautions jsonb not null default \'{}\'')
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  await knex.raw('alter table workshop drop column cautions')
}
