import type { Knex } from 'knex'

/**
 * A second step at the door: what figures are made from, the one that is being set up, and the last half minute whose figures let somebody
 * in. And whether a password will do for an owner: of those that are kept nobody can tell any more.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    alter table people add column second text, add column second_new text, add column second_used bigint not null default 0,
      add column strong boolean not null default false`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw(`
    alter table people drop column second, drop column second_new, drop column second_used, drop column strong`)
}
