import type { Knex } from 'knex'

/** Products of the turner's own, abrasives known by their grain, and what is known of a wood that is in no table. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table own_products (
      workshop_id uuid not null default current_workshop() references workshops (id),
      id text not null, name text not null, alike text not null, build double precision, keeps integer,
      caution text not null, source text not null, version integer not null default 1, created_at timestamptz not null default now(),
      primary key (workshop_id, id))`)
  await knex.raw('grant select, insert, update, delete on own_products to oxlip_walled')
  await knex.raw('alter table own_products enable row level security')
  await knex.raw(`
    create policy of_workshop on own_products using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
  await knex.raw(`
    create constraint trigger own_products_changed after insert or update or delete on own_products
      deferrable initially deferred for each row execute function note_change('shelf')`)
  await knex.raw('alter table own_abrasives alter column coarser drop not null, alter column finer drop not null')
  await knex.raw('alter table own_abrasives add column micron double precision')
  await knex.raw('alter table blanks add column hardness double precision, add column density double precision')
  await knex.raw('alter table blanks add column caution text, add column source text')
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  await knex.raw('alter table blanks drop column hardness, drop column density, drop column caution, drop column source')
  // What is known by its grain alone cannot be kept in the form before.
  await knex.raw('delete from shelf_items where exists (select from own_abrasives where own_abrasives.id = item and micron is not null)')
  await knex.raw('delete from own_abrasives where micron is not null')
  await knex.raw('alter table own_abrasives drop column micron')
  await knex.raw('alter table own_abrasives alter column coarser set not null, alter column finer set not null')
  await knex.raw('delete from shelf_items where exists (select from own_products where own_products.id = item)')
  await knex.raw('drop table own_products')
}
