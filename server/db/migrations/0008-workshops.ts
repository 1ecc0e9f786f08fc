import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'

/** What a pen is planned and made from: each table with its key. */
const SHELF = {
  workshop: [],
  shelf_items: ['item'],
  own_abrasives: ['id'],
  fittings: ['id'],
  photos: ['id'],
  blanks: ['id'],
  readings: ['id'],
  bits: ['diameter'],
  methods: ['id'],
  method_versions: ['method_id', 'version'],
  air_readings: ['at'],
}
/** What there is of each pen. */
const OF_PENS = {
  pens: ['id'],
  plans: ['pen_id', 'version'],
  events: ['id'],
  pen_rows: ['pen_id'],
  pen_search: ['pen_id'],
  facts: ['pen_id', 'kind', 'place'],
}
/** What is counted in a workshop. */
const COUNTS = { lessons: ['kind', 'about'], changes: ['kind', 'ref'] }
const ALL = { ...SHELF, ...OF_PENS, ...COUNTS }
/** Keys as they were before. */
const OLD_KEYS: Record<string, readonly string[]> = { ...ALL, workshop: ['id'] }

/** Which column of which table refers to the key of which other. */
const REFERENCES: readonly [table: string, column: string, to: string][] = [
  ['blanks', 'photo', 'photos'],
  ['readings', 'blank_id', 'blanks'],
  ['method_versions', 'method_id', 'methods'],
  ['pens', 'blank', 'blanks'],
  ['plans', 'pen_id', 'pens'],
  ['events', 'pen_id', 'pens'],
  ['pen_rows', 'pen_id', 'pens'],
  ['pen_search', 'pen_id', 'pens'],
  ['facts', 'pen_id', 'pens'],
]

const INDEXES: Record<string, [table: string, columns: string]> = {
  events_of_pen: ['events', 'pen_id, seq'],
  events_happened: ['events', 'happened_at'],
  readings_blank_id_index: ['readings', 'blank_id'],
  changes_seq_index: ['changes', 'seq'],
  pens_created: ['pens', 'created_at, id'],
  facts_about: ['facts', 'kind, about, at'],
  facts_latest: ['facts', 'kind, at, pen_id, place'],
  pen_rows_recent: ['pen_rows', 'recent, pen_id'],
  pen_rows_marks: ['pen_rows', 'letter, number, pen_id'],
  pen_rows_due: ['pen_rows', 'due, pen_id'],
  pen_rows_stages: ['pen_rows', 'stage, recent, pen_id'],
  pen_rows_stage_marks: ['pen_rows', 'stage, letter, number, pen_id'],
  pen_rows_stage_due: ['pen_rows', 'stage, due, pen_id'],
  pen_rows_materials: ['pen_rows', 'material, recent, pen_id'],
  pen_rows_fittings: ['pen_rows', 'fitting, recent, pen_id'],
  pen_rows_methods: ['pen_rows', 'method, recent, pen_id'],
  pen_rows_method_versions: ['pen_rows', 'method, method_version, recent, pen_id'],
  pen_rows_projections: ['pen_rows', 'projection, pen_id'],
  pen_rows_waits: ['pen_rows', 'waits_until'],
}

/** What is listed in the order in which it was made. */
const IN_ORDER = ['pens', 'blanks']

/** What defects are asked by. The indexes of text stay as they are: a text tells pens apart better than a workshop does. */
const ASKED = ['status', 'judged']

/**
 * Many workshops beside one another: every row belongs to one, keys and indexes begin with it, and whoever asks sees and writes the rows
 * of the workshop that its transaction has entered, and no others, whatever it asks for. What there was becomes a workshop of the
 * turner’s own; demo pens that nobody worked on go into the demo’s.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('workshops', (table) => {
    table.uuid('id').primary()
    table.text('name').notNullable()
    table.text('kind').notNullable().checkIn(['own', 'demo'])
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.raw('create unique index workshops_demo on workshops (kind) where kind = \'demo\'')
  await knex.schema.createTable('installation', (table) => {
    table.integer('id').primary().checkIn(['1'])
    /** Whether the demo was set up once: deleted, it does not come back by itself. */
    table.boolean('demo_offered').notNullable()
  })
  const hasDemo = Boolean(await knex('events').where({ device: 'demo' }).first('id'))
  await knex('installation').insert({ id: 1, demo_offered: Boolean(await knex('pens').first('id')) })
  const own = randomUUID()
  await knex('workshops').insert({ id: own, name: 'My workshop', kind: 'own' })
  await belong(knex, own)
  if (hasDemo) await partDemo(knex, own)
  for (const [table, key] of Object.entries(ALL)) await primary(knex, table, ['workshop_id', ...key])
  for (const [table, column, to] of REFERENCES)
    await knex.raw(`alter table ${table} add constraint ${table}_${column}_foreign
      foreign key (workshop_id, ${column}) references ${to} (workshop_id, id)`)
  for (const [name, [table, columns]] of Object.entries(INDEXES)) {
    await knex.raw(`drop index ${name}`)
    await knex.raw(`create index ${name} on ${table} (workshop_id, ${columns})`)
  }
  await otherIndexes(knex)
  await numberByWorkshop(knex)
  // Of several that are started in one transaction, too, one is the last.
  for (const table of IN_ORDER) await knex.raw(`alter table ${table} alter column created_at set default clock_timestamp()`)
  await wall(knex)
}

/** Every row gets its workshop; new ones that of their transaction. */
async function belong(knex: Knex, own: string): Promise<void> {
  await knex.raw(`
    create function current_workshop() returns uuid language sql stable parallel safe as $$
      select nullif(current_setting('oxlip.workshop', true), '')::uuid $$`)
  for (const [table, column] of REFERENCES) await knex.raw(`alter table ${table} drop constraint ${table}_${column}_foreign`)
  for (const table of Object.keys(ALL)) {
    await knex.raw(`alter table ${table} drop constraint ${table}_pkey`)
    // A default that is the same for all rows writes none of them anew.
    await knex.raw(`alter table ${table} add column workshop_id uuid not null default '${own}'`)
    await knex.raw(`alter table ${table} alter column workshop_id set default current_workshop()`)
    await knex.raw(`alter table ${table} add constraint ${table}_workshop foreign key (workshop_id) references workshops (id)`)
  }
  await knex.raw('alter table workshop drop column id')
}

/** The demo’s pens that nobody worked on go into a workshop of their own, with a copy of the shelf; nothing is lost. */
async function partDemo(knex: Knex, own: string): Promise<void> {
  const demo = randomUUID()
  await knex('workshops').insert({ id: demo, name: 'Harrow Lane', kind: 'demo' })
  await quietly(knex, async () => {
    for (const table of Object.keys(SHELF)) await copyRows(knex, table, own, demo)
    await knex.raw(`
      create temporary table demo_pens on commit drop as select id from pens
      where not exists (select from events where pen_id = pens.id and device <> 'demo')
        and (exists (select from events where pen_id = pens.id) or (reason = 'Harvest supper, Harrow Lane orchard' and version = 1))`)
    for (const table of Object.keys(OF_PENS)) {
      const column = table === 'pens' ? 'id' : 'pen_id'
      await knex.raw(`update ${table} set workshop_id = ? where ${column} in (select id from demo_pens)`, [demo])
    }
    await knex.raw('drop table demo_pens')
    // What was learnt was learnt from both.
    await knex('lessons').update({ body: null, learnt_at: null })
    await copyRows(knex, 'lessons', own, demo)
  })
}

/** Moves rows about without a word to anybody: the log’s guard and the numbering of changes rest meanwhile. */
async function quietly(knex: Knex, work: () => Promise<void>): Promise<void> {
  const guarded = [...TOLD.map(table => [table, `${table}_changed`] as const), ['events', 'events_append_only'] as const]
  for (const [table, trigger] of guarded) await knex.raw(`alter table ${table} disable trigger ${trigger}`)
  await work()
  for (const [table, trigger] of guarded) await knex.raw(`alter table ${table} enable trigger ${trigger}`)
}

/** Tables whose changes are numbered. */
const TOLD = [
  'pens', 'air_readings', 'workshop', 'shelf_items', 'own_abrasives', 'fittings', 'blanks', 'readings', 'bits', 'methods',
  'method_versions',
]

/** Copies the rows of one workshop into another; what that has already stays as it is. */
async function copyRows(knex: Knex, table: string, from: string, to: string): Promise<void> {
  const columns: string[] = (await knex('information_schema.columns')
    .where({ table_schema: 'public', table_name: table, is_generated: 'NEVER' })
    .whereNot({ column_name: 'workshop_id' })
    .pluck('column_name')) as string[]
  const listed = columns.map(column => `"${column}"`).join(', ')
  await knex.raw(`insert into ${table} (workshop_id, ${listed}) select ?, ${listed} from ${table} where workshop_id = ?
    on conflict do nothing`, [to, from])
}

const primary = (knex: Knex, table: string, columns: readonly string[]) =>
  knex.raw(`alter table ${table} add constraint ${table}_pkey primary key (${columns.join(', ')})`)

async function otherIndexes(knex: Knex): Promise<void> {
  await knex.raw('drop index events_seq')
  await knex.raw('create unique index events_seq on events (workshop_id, seq)')
  await knex.raw('drop index pen_rows_open')
  await knex.raw('create index pen_rows_open on pen_rows (workshop_id, recent, pen_id) where open_defects > 0')
  // As columns: behind the wall an index serves only comparisons that can tell nothing of other rows, and reading JSON is none of them.
  for (const field of ASKED) {
    await knex.raw(`drop index facts_${field}`)
    await knex.raw(`alter table facts add column ${field} text generated always as (body #>> '{defect,${field}}') stored`)
    await knex.raw(`create index facts_${field} on facts (workshop_id, ${field}, at, pen_id, place) where kind = 'defect'`)
  }
}

/** The log and the changes of each workshop are numbered, locked and told by themselves. */
async function numberByWorkshop(knex: Knex): Promise<void> {
  await knex.raw('alter table events alter column seq drop default')
  await knex.raw('drop sequence events_seq_seq')
  await knex.raw('drop sequence changes_seq')
  // Whoever appends holds the lock of the workshop's log, so nobody else takes the same number.
  await knex.raw(`
    create or replace function set_happened() returns trigger language plpgsql as $$
    begin
      new.happened_at := new.at - make_interval(secs => coalesce(new.ahead_ms, 0) / 1000.0);
      new.seq := (select coalesce(max(seq), 0) + 1 from events where workshop_id = new.workshop_id);
      return new;
    end $$`)
  await knex.raw(`
    create or replace function note_change() returns trigger language plpgsql as $$
    declare
      about text := '';
      shop uuid := coalesce(new.workshop_id, old.workshop_id);
    begin
      if shop::text = current_setting('oxlip.dropping', true) then return null; end if;
      if tg_argv[0] = 'pen' then about := coalesce(new.id, old.id)::text; end if;
      perform pg_advisory_xact_lock(7265303, hashtext(shop::text));
      insert into changes (workshop_id, kind, ref, seq)
        values (shop, tg_argv[0], about, (select coalesce(max(seq), 0) + 1 from changes where workshop_id = shop))
        on conflict (workshop_id, kind, ref) do update set seq = excluded.seq;
      perform pg_notify('oxlip', json_build_object('kind', 'changes', 'workshop', shop)::text);
      return null;
    end $$`)
  await knex.raw(`
    create or replace function tell_events() returns trigger language plpgsql as $$
    begin
      perform pg_notify('oxlip', json_build_object('kind', 'events', 'workshop', current_workshop())::text);
      return null;
    end $$`)
  await knex.raw(`
    create or replace function refuse_change() returns trigger language plpgsql as $$
    begin
      if tg_op = 'DELETE' and old.workshop_id::text = current_setting('oxlip.dropping', true) then return old; end if;
      raise exception 'the bench log is append-only';
    end $$`)
}

/** The role that works behind the wall: one for all databases of a server, which each user that owns one may take on. */
async function walledRole(knex: Knex): Promise<void> {
  const found: { rows: { user: string, may: boolean, there: boolean, member: boolean }[] } = await knex.raw(`
    select current_user as user, rolsuper or rolcreaterole as may,
      exists (select from pg_roles where rolname = 'oxlip_walled') as there,
      coalesce((select pg_has_role(oid, 'member') from pg_roles where rolname = 'oxlip_walled'), false) as member
    from pg_roles where rolname = current_user`)
  const [{ user, may, there, member } = { user: '', may: false, there: false, member: false }] = found.rows
  if (there && member) return
  if (!may) throw new Error(`its user may not make roles. Let it do so this once: alter role "${user}" createrole`)
  // Another database of this server may make it at the same moment.
  await knex.raw(`
    do $$ begin
      create role oxlip_walled nologin;
    exception when duplicate_object or unique_violation then null;
    end $$`)
  await knex.raw('grant oxlip_walled to ??', [user])
}

/** Nobody who is behind the wall sees or writes rows of another workshop than the one entered. */
async function wall(knex: Knex): Promise<void> {
  await walledRole(knex)
  for (const table of Object.keys(ALL)) {
    await knex.raw(`grant select, insert, update, delete on ${table} to oxlip_walled`)
    await knex.raw(`alter table ${table} enable row level security`)
    await knex.raw(`
      create policy of_workshop on ${table} using (workshop_id = current_workshop()) with check (workshop_id = current_workshop())`)
  }
  // Text is looked for through a view that has the wall in itself, since the indexes of text do not serve through a policy. Asked as a
  // question of its own, the workshop here is not taken together with that of the tables beside it, whose policies would count here too.
  await knex.raw('create view pen_texts as select * from pen_search where workshop_id = (select current_workshop())')
  await knex.raw('grant select on pen_texts to oxlip_walled')
  await knex.raw(`
    create function enter_workshop(wanted uuid) returns uuid language sql volatile security definer set search_path = public, pg_temp
    as $$
      select set_config('oxlip.workshop', id::text, true)::uuid from workshops where id = wanted $$`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('drop function enter_workshop(uuid)')
  await knex.raw('drop view pen_texts')
  for (const table of Object.keys(ALL)) {
    await knex.raw(`drop policy of_workshop on ${table}`)
    await knex.raw(`alter table ${table} disable row level security`)
    await knex.raw(`revoke all on ${table} from oxlip_walled`)
  }
  await oneSequence(knex)
  for (const field of ASKED) await knex.schema.alterTable('facts', table => table.dropColumn(field))
  for (const [table, column] of REFERENCES) await knex.raw(`alter table ${table} drop constraint ${table}_${column}_foreign`)
  for (const name of [...Object.keys(INDEXES), 'events_seq', 'pen_rows_open'])
    await knex.raw(`drop index ${name}`)
  await merge(knex)
  await knex.raw('alter table workshop add column id integer default 1 check (id in (1))')
  for (const [table, key] of Object.entries(OLD_KEYS)) {
    await knex.schema.alterTable(table, one => one.dropColumn('workshop_id'))
    await primary(knex, table, key)
  }
  await knex.raw('alter table workshop alter column id drop default')
  for (const [table, column, to] of REFERENCES)
    await knex.raw(`alter table ${table} add constraint ${table}_${column}_foreign foreign key (${column}) references ${to} (id)`)
  for (const [name, [table, columns]] of Object.entries(INDEXES)) await knex.raw(`create index ${name} on ${table} (${columns})`)
  await knex.raw('create unique index events_seq on events (seq)')
  await knex.raw('create index pen_rows_open on pen_rows (recent, pen_id) where open_defects > 0')
  for (const field of ASKED)
    await knex.raw(`create index facts_${field} on facts ((body #>> '{defect,${field}}'), at, pen_id, place) where kind = 'defect'`)
  for (const table of IN_ORDER) await knex.raw(`alter table ${table} alter column created_at set default now()`)
  for (const table of ['installation', 'workshops']) await knex.schema.dropTable(table)
  await knex.raw('drop function current_workshop()')
}

/** All workshops become the one that has most pens, in which whatever the others had besides is kept too. */
async function merge(knex: Knex): Promise<void> {
  const rooms: { id: string }[] = await knex('workshops')
    .leftJoin('pens', 'pens.workshop_id', 'workshops.id')
    .groupBy('workshops.id')
    .orderByRaw('count(pens.id) desc, workshops.created_at')
    .select('workshops.id')
  const [kept, ...others] = rooms.map(one => one.id)
  await quietly(knex, async () => {
    for (const other of others) {
      for (const table of [...Object.keys(SHELF), 'lessons']) await copyRows(knex, table, other, kept ?? other)
      for (const table of Object.keys(OF_PENS)) {
        if (table === 'events') {
          const last = 'select coalesce(max(seq), 0) from events where workshop_id = ?'
          await knex.raw(`update events set seq = seq + (${last}) where workshop_id = ?`, [kept ?? other, other])
        }
        await knex.raw(`update ${table} set workshop_id = ? where workshop_id = ?`, [kept ?? other, other])
      }
      for (const table of [...Object.keys(SHELF), ...Object.keys(COUNTS)]) await knex(table).where({ workshop_id: other }).delete()
    }
    if (others.length) await knex('lessons').update({ body: null, learnt_at: null })
  })
}

/** One numbering for all, as it was. */
async function oneSequence(knex: Knex): Promise<void> {
  await knex.raw('create sequence events_seq_seq owned by events.seq')
  await knex.raw('create sequence changes_seq')
  await knex.raw('select setval(\'changes_seq\', (select coalesce(max(seq), 0) + 1 from changes))')
  // Room for the numbers of all workshops one after another.
  await knex.raw('select setval(\'events_seq_seq\', (select count(*) + coalesce(max(seq), 0) + 1 from events))')
  await knex.raw('alter table events alter column seq set default nextval(\'events_seq_seq\')')
  await knex.raw(`
    create or replace function set_happened() returns trigger language plpgsql as $$
    begin
      new.happened_at := new.at - make_interval(secs => coalesce(new.ahead_ms, 0) / 1000.0);
      return new;
    end $$`)
  await knex.raw(`
    create or replace function note_change() returns trigger language plpgsql as $$
    declare about text := '';
    begin
      if tg_argv[0] = 'pen' then about := coalesce(new.id, old.id)::text; end if;
      perform pg_advisory_xact_lock(7265303);
      insert into changes (kind, ref, seq) values (tg_argv[0], about, nextval('changes_seq'))
        on conflict (kind, ref) do update set seq = excluded.seq;
      perform pg_notify('oxlip', json_build_object('kind', 'changes')::text);
      return null;
    end $$`)
  await knex.raw(`
    create or replace function tell_events() returns trigger language plpgsql as $$
    begin
      perform pg_notify('oxlip', json_build_object('kind', 'events')::text);
      return null;
    end $$`)
  await knex.raw(`
    create or replace function refuse_change() returns trigger language plpgsql as $$
    begin raise exception 'the bench log is append-only'; end $$`)
}
