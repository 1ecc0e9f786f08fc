import type { Knex } from 'knex'

/** Classes: what everybody in one makes and how they work; and what the teacher gives each pen. */
export async function up(knex: Knex): Promise<void> {
  const own = 'workshop_id uuid not null default current_workshop() references workshops (id)'
  await knex.raw(`
    create table classes (
      ${own}, id uuid not null, name text not null, body jsonb not null, ended boolean not null default false,
      version integer not null default 1, made timestamptz not null default clock_timestamp(),
      primary key (workshop_id, id))`)
  await knex.raw('alter table pens add column class_id uuid')
  await knex.raw(`
    alter table pens add constraint pens_class_foreign
      foreign key (workshop_id, class_id) references classes (workshop_id, id)`)
  await knex.raw('create index pens_class on pens (workshop_id, class_id) where class_id is not null')
  await knex.raw(`
    create table class_marks (
      ${own}, pen_id uuid not null, body jsonb not null,
      primary key (workshop_id, pen_id),
      foreign key (workshop_id, pen_id) references pens (workshop_id, id))`)
  for (const table of ['classes', 'class_marks']) {
    await knex.raw(`grant select, insert, update, delete on ${table} to oxlip_walled`)
    await knex.raw(`alter table ${table} enable row level security`)
    await knex.raw(`
      create policy of_workshop on ${table} using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
    await knex.raw(`
      create constraint trigger ${table}_changed after insert or update or delete on ${table}
        deferrable initially deferred for each row execute function note_change('classes')`)
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  await knex.raw('drop table class_marks')
  await knex.raw('alter table pens drop column class_id')
  await knex.raw('drop table classes')
}
