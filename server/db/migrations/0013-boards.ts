import type { Knex } from 'knex'

/** Boards beside sticks on the shelf, and from which board sticks were cut; a board is counted off by the sticks that were cut from it. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    alter table blanks
      add column board boolean not null default false,
      add column cut_from uuid,
      add column uncut boolean not null default false,
      add constraint blanks_cut_from foreign key (workshop_id, cut_from) references blanks (workshop_id, id)`)
  await knex.raw('create index blanks_cut_from on blanks (workshop_id, cut_from) where cut_from is not null')
}

/** The code of before would take a board for a stick: boards are taken off the shelf. */
export async function down(knex: Knex): Promise<void> {
  await knex.raw('update blanks set gone = true where board')
  await knex.raw('set constraints all immediate')
  await knex.raw('drop index blanks_cut_from')
  await knex.raw('alter table blanks drop constraint blanks_cut_from, drop column board, drop column cut_from, drop column uncut')
}
