import type { Knex } from 'knex'

const TABLES = ['evening_hours', 'evening_pins', 'evening_plans', 'evening_calendars'] as const

/** When hands are there, what the turner wants of the order, what evenings were to be, and the secret address of their calendar. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table evening_hours (
      workshop_id uuid not null default current_workshop() references workshops (id),
      who text not null,
      day text not null,
      spans jsonb not null,
      primary key (workshop_id, who, day))`)
  await knex.raw(`
    create table evening_pins (
      workshop_id uuid not null default current_workshop() references workshops (id),
      id uuid not null,
      pen_id uuid not null,
      body jsonb not null,
      primary key (workshop_id, id),
      foreign key (workshop_id, pen_id) references pens (workshop_id, id))`)
  await knex.raw('create index evening_pins_pen on evening_pins (workshop_id, pen_id)')
  await knex.raw(`
    create table evening_plans (
      workshop_id uuid not null default current_workshop() references workshops (id),
      day date not null,
      first jsonb not null,
      latest jsonb not null,
      primary key (workshop_id, day))`)
  await knex.raw(`
    create table evening_calendars (
      workshop_id uuid not null default current_workshop() references workshops (id),
      secret text not null,
      primary key (workshop_id))`)
  // Whose it is is asked before the wall.
  await knex.raw('create index evening_calendars_secret on evening_calendars (secret)')
  for (const table of TABLES) {
    await knex.raw(`grant select, insert, update, delete on ${table} to oxlip_walled`)
    await knex.raw(`alter table ${table} enable row level security`)
    await knex.raw(`
      create policy of_workshop on ${table} using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
  }
  for (const table of ['evening_hours', 'evening_pins', 'evening_calendars']) {
    await knex.raw(`
      create constraint trigger ${table}_changed after insert or update or delete on ${table}
        deferrable initially deferred for each row execute function note_change('evenings')`)
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  for (const table of TABLES) await knex.raw(`drop table ${table}`)
  await knex('changes').where({ kind: 'evenings' }).delete()
}
