import type { Knex } from 'knex'

const WALLED = ['supplies', 'stock_log']

/** Where things are bought and in what packs; what was bought and counted when; since when sheets were counted. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table shelf_items add column counted_at timestamptz not null default now()')
  await knex.raw(`
    create table supplies (
      workshop_id uuid not null default current_workshop() references workshops (id),
      what text not null, source text not null, pack integer not null,
      primary key (workshop_id, what))`)
  await knex.raw(`
    create table stock_log (
      workshop_id uuid not null default current_workshop() references workshops (id),
      id uuid not null, what text not null, how text not null, at timestamptz not null default now(),
      was double precision, now double precision, pieces integer, each integer,
      primary key (workshop_id, id))`)
  await knex.raw('create index stock_log_at on stock_log (workshop_id, at desc, id)')
  await knex.raw('create index stock_log_what on stock_log (workshop_id, what, at)')
  for (const table of WALLED) {
    await knex.raw(`grant select, insert, update, delete on ${table} to oxlip_walled`)
    await knex.raw(`alter table ${table} enable row level security`)
    await knex.raw(`
      create policy of_workshop on ${table} using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
    await knex.raw(`
      create constraint trigger ${table}_changed after insert or update or delete on ${table}
        deferrable initially deferred for each row execute function note_change('shelf')`)
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  for (const table of WALLED) await knex.raw(`drop table ${table}`)
  await knex.raw('alter table shelf_items drop column counted_at')
}
