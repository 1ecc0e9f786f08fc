import type { Knex } from 'knex'

/**
 * Who may come in: people, the workshops they belong to, the devices they come by, the codes that let a device in, and who knocked in
 * vain. None of it is behind the wall of a workshop: nobody who is in one can ask for it there. Entries and pens carry whose they are.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table people (
      id uuid primary key, name text not null, mark text not null, colour text not null, secret text,
      keeper boolean not null default false, gone boolean not null default false, version integer not null default 1,
      created_at timestamptz not null default now())`)
  await knex.raw('create unique index people_names on people (lower(name)) where not gone')
  await knex.raw(`
    create table members (
      workshop_id uuid not null references workshops (id), person_id uuid not null references people (id),
      role text check (role in ('owner', 'maker', 'pupil', 'looker')),
      primary key (workshop_id, person_id))`)
  await knex.raw('create index members_person on members (person_id)')
  await knex.raw(`
    create table sessions (
      id uuid primary key, person_id uuid not null references people (id), seal text not null unique, name text not null,
      how text not null check (how in ('paired', 'signed in')), made_at timestamptz not null default now(),
      seen_at timestamptz not null default now(), ends_at timestamptz not null)`)
  await knex.raw('create index sessions_person on sessions (person_id)')
  await knex.raw(`
    create table pairings (
      seal text primary key, person_id uuid not null references people (id), ends_at timestamptz not null)`)
  await knex.raw(`
    create table knocks (
      id bigint generated always as identity primary key, at timestamptz not null default now(), address text not null,
      about text not null, answered boolean not null default false)`)
  await knex.raw('create index knocks_at on knocks (at)')
  await knex.raw('create index knocks_of on knocks (address, at)')
  // What the cookies of this installation are sealed with; and whether the machine itself asks who it is.
  await knex.raw(`
    alter table installation add column locked boolean not null default false,
      add column seal text not null default md5(gen_random_uuid()::text) || md5(gen_random_uuid()::text)`)
  await knex.raw(`
    create function current_person() returns uuid language sql stable parallel safe as $$
      select nullif(current_setting('oxlip.person', true), '')::uuid $$`)
  await knex.raw('alter table pens add column maker uuid')
  await knex.raw('alter table pens alter column maker set default current_person()')
  await knex.raw('create index pens_maker on pens (workshop_id, maker) where maker is not null')
  await knex.raw('alter table events add column by_person uuid')
  await knex.raw('alter table events alter column by_person set default current_person()')
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  await knex.raw('alter table events drop column by_person')
  await knex.raw('alter table pens drop column maker')
  await knex.raw('drop function current_person()')
  await knex.raw('alter table installation drop column locked, drop column seal')
  for (const table of ['knocks', 'pairings', 'sessions', 'members', 'people']) await knex.raw(`drop table ${table}`)
}
