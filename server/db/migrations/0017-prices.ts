import type { Knex } from 'knex'

/** What a workshop pays for things and for an hour, in minor units of its currency, by what it is for. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table prices (
      workshop_id uuid not null default current_workshop() references workshops (id),
      what text not null,
      minor integer not null,
      primary key (workshop_id, what))`)
  await knex.raw('grant select, insert, update, delete on prices to oxlip_walled')
  await knex.raw('alter table prices enable row level security')
  await knex.raw(`
    create policy of_workshop on prices using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
  await knex.raw(`
    create constraint trigger prices_changed after insert or update or delete on prices
      deferrable initially deferred for each row execute function note_change('shelf')`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  await knex.raw('drop table prices')
}
