import type { Knex } from 'knex'

/** Secret addresses under which one pen is shown to whoever gets it. Only what the secret is checked by is kept. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table pen_links (
      workshop_id uuid not null default current_workshop() references workshops (id), pen_id uuid not null, seal text not null,
      made timestamptz not null default now(),
      primary key (workshop_id, pen_id),
      foreign key (workshop_id, pen_id) references pens (workshop_id, id))`)
  await knex.raw('create index pen_links_seal on pen_links (seal)')
  await knex.raw('grant select, insert, update, delete on pen_links to oxlip_walled')
  await knex.raw('alter table pen_links enable row level security')
  await knex.raw(`
    create policy of_workshop on pen_links using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop table pen_links')
}
