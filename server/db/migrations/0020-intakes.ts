import type { Knex } from 'knex'

const WALLED = ['intakes', 'intake_things']

/** What was taken in from sheets, so that it can be undone as one; entries that are undone so leave their numbers to nobody. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table workshop add column events_floor bigint not null default 0')
  await knex.raw(`
    create or replace function set_happened() returns trigger language plpgsql as $$
    begin
      new.happened_at := new.at - make_interval(secs => coalesce(new.ahead_ms, 0) / 1000.0);
      new.seq := greatest(
        (select coalesce(max(seq), 0) from events where workshop_id = new.workshop_id),
        (select coalesce(max(events_floor), 0) from workshop where workshop_id = new.workshop_id)) + 1;
      return new;
    end $$`)
  await knex.raw(`
    create table intakes (
      workshop_id uuid not null default current_workshop() references workshops (id),
      id uuid not null, name text not null, rows integer not null, at timestamptz not null default now(),
      undone timestamptz, kept integer,
      primary key (workshop_id, id))`)
  await knex.raw('create index intakes_at on intakes (workshop_id, at desc, id)')
  await knex.raw(`
    create table intake_things (
      workshop_id uuid not null default current_workshop() references workshops (id),
      intake_id uuid not null, place integer not null, ref text not null, body jsonb,
      primary key (workshop_id, intake_id, place),
      foreign key (workshop_id, intake_id) references intakes (workshop_id, id))`)
  for (const table of WALLED) {
    await knex.raw(`grant select, insert, update, delete on ${table} to oxlip_walled`)
    await knex.raw(`alter table ${table} enable row level security`)
    await knex.raw(`
      create policy of_workshop on ${table} using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  for (const table of [...WALLED].reverse()) await knex.raw(`drop table ${table}`)
  await knex.raw(`
    create or replace function set_happened() returns trigger language plpgsql as $$
    begin
      new.happened_at := new.at - make_interval(secs => coalesce(new.ahead_ms, 0) / 1000.0);
      new.seq := (select coalesce(max(seq), 0) + 1 from events where workshop_id = new.workshop_id);
      return new;
    end $$`)
  await knex.raw('alter table workshop drop column events_floor')
}
