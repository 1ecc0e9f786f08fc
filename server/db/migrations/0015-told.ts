import type { Knex } from 'knex'

const TABLES = ['pen_told', 'learnt_aside', 'trials', 'trial_pens'] as const
/** Those that screens hold. */
const SHOWN = ['learnt_aside', 'trials', 'trial_pens'] as const

/** Traits of pens, each in a column of its own: questions count by them over all pens there ever were. */
const TRAITS = [
  'method', 'wood', 'class', 'fitting', 'first_grit', 'last_grit', 'applicator', 'first_coat', 'product', 'coats', 'air', 'warmth', 'tool',
  'shape',
]

/**
 * How pens that are over were made and turned out; what was learnt that the turner has set aside; and ways that are tried out
 * against one another. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table pen_told (
      workshop_id uuid not null default current_workshop() references workshops (id),
      pen_id uuid not null,
      ended timestamptz not null,
      coated timestamptz,
      due date,
      ${TRAITS.map(column => `${column} text,`).join('\n      ')}
      defects text[] not null,
      mends integer not null,
      failed integer not null,
      scrapped boolean not null,
      finished boolean not null,
      figures jsonb not null,
      primary key (workshop_id, pen_id),
      foreign key (workshop_id, pen_id) references pens (workshop_id, id))`)
  await knex.raw('create index pen_told_latest on pen_told (workshop_id, ended, pen_id)')
  await knex.raw(`
    create table learnt_aside (
      workshop_id uuid not null default current_workshop() references workshops (id),
      what text not null,
      since timestamptz not null default now(),
      primary key (workshop_id, what))`)
  await knex.raw(`
    create table trials (
      workshop_id uuid not null default current_workshop() references workshops (id),
      id uuid not null,
      begun timestamptz not null default now(),
      ended timestamptz,
      seed integer not null,
      body jsonb not null,
      primary key (workshop_id, id))`)
  await knex.raw('create index trials_latest on trials (workshop_id, begun)')
  await knex.raw(`
    create table trial_pens (
      workshop_id uuid not null default current_workshop() references workshops (id),
      trial_id uuid not null,
      place integer not null,
      pen_id uuid not null,
      way text not null,
      primary key (workshop_id, trial_id, place),
      unique (workshop_id, trial_id, pen_id),
      foreign key (workshop_id, trial_id) references trials (workshop_id, id),
      foreign key (workshop_id, pen_id) references pens (workshop_id, id))`)
  await knex.raw('create index trial_pens_pen on trial_pens (workshop_id, pen_id)')
  for (const table of TABLES) {
    await knex.raw(`grant select, insert, update, delete on ${table} to oxlip_walled`)
    await knex.raw(`alter table ${table} enable row level security`)
    await knex.raw(`
      create policy of_workshop on ${table} using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
  }
  for (const table of SHOWN) {
    await knex.raw(`
      create constraint trigger ${table}_changed after insert or update or delete on ${table}
        deferrable initially deferred for each row execute function note_change('findings')`)
  }
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('set constraints all immediate')
  await knex('changes').where({ kind: 'findings' }).delete()
  for (const table of [...TABLES].reverse()) await knex.raw(`drop table ${table}`)
  await knex('lessons').where({ kind: 'told' }).delete()
}
