import type { Knex } from 'knex'

/** When the whole database was saved, by whom and how large that was: a reminder comes when the last is old. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table backups (
      id bigint generated always as identity primary key,
      made timestamptz not null,
      bytes bigint not null,
      how text not null)`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop table backups')
}
