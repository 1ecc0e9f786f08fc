import type { Knex } from 'knex'

/** What whoever helps is called on the evenings. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table workshop add column helper text')
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  await knex.raw('alter table workshop drop column helper')
}
