import type { Knex } from 'knex'

/**
 * What lists and lessons are answered from: a row for each pen and its facts, written with every entry and every change of a plan. And
 * the order of the log has an index that allows each number once, corrected times have one.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('create unique index events_seq on events (seq)')
  await knex.raw('create index events_of_pen on events (pen_id, seq)')
  await knex.raw('drop index events_pen_id_index')
  await knex.raw('alter table events add column happened_at timestamptz')
  await knex.raw('alter table events disable trigger events_append_only')
  await knex.raw('update events set happened_at = at - make_interval(secs => coalesce(ahead_ms, 0) / 1000.0)')
  await knex.raw('alter table events enable trigger events_append_only')
  await knex.raw('alter table events alter column happened_at set not null')
  await knex.raw('create index events_happened on events (happened_at)')
  await knex.raw(`
    create function set_happened() returns trigger language plpgsql as $$
    begin
      new.happened_at := new.at - make_interval(secs => coalesce(new.ahead_ms, 0) / 1000.0);
      return new;
    end $$`)
  await knex.raw('create trigger events_happened before insert on events for each row execute function set_happened()')

  // Turners use their marks again: one is taken by a pen in the making only, which is asked for when it is given.
  await knex.raw('alter table pens drop constraint pens_mark_unique')
  await knex.raw('create index pens_created on pens (created_at, id)')

  await knex.raw('create extension if not exists pg_trgm')
  await knex.schema.createTable('pen_rows', (table) => {
    table.uuid('pen_id').primary().references('pens.id')
    /** The version of the projection it was made by. */
    table.integer('projection').notNullable()
    /** Null when the pen’s plan or log cannot be read: then there is no body either. */
    table.text('stage')
    /** When it was last worked on, or started. */
    table.timestamp('recent').notNullable()
    table.text('letter').notNullable()
    table.integer('number').notNullable()
    table.date('due')
    for (const choice of ['fitting', 'material', 'method']) table.text(choice).notNullable()
    /** The version of the method it is planned by. */
    table.integer('method_version')
    table.integer('open_defects').notNullable()
    /** When the last of its running waits is over. */
    table.timestamp('waits_until')
    table.jsonb('body')
  })
  // Apart, since these indexes cost most, and what is searched in changes seldom.
  await knex.schema.createTable('pen_search', (table) => {
    table.uuid('pen_id').primary().references('pens.id')
    table.text('search').notNullable()
    table.specificType('words', 'tsvector').notNullable()
  })
  for (const [name, columns] of Object.entries(ORDERS)) await knex.raw(`create index pen_rows_${name} on pen_rows (${columns})`)
  await knex.raw('create index pen_rows_open on pen_rows (recent, pen_id) where open_defects > 0')
  await knex.raw('create index pen_search_letters on pen_search using gin (search gin_trgm_ops)')
  await knex.raw('create index pen_search_words on pen_search using gin (words)')

  await knex.schema.createTable('facts', (table) => {
    table.uuid('pen_id').notNullable().references('pens.id')
    table.text('kind').notNullable()
    /** Its place among the pen’s facts of its kind. */
    table.integer('place').notNullable()
    table.text('about').notNullable()
    table.timestamp('at').notNullable()
    table.jsonb('body').notNullable()
    table.primary(['pen_id', 'kind', 'place'])
  })
  await knex.raw('create index facts_about on facts (kind, about, at)')
  await knex.raw('create index facts_latest on facts (kind, at, pen_id, place)')
  for (const field of ['status', 'judged'])
    await knex.raw(`create index facts_${field} on facts ((body #>> '{defect,${field}}'), at, pen_id, place) where kind = 'defect'`)

  await knex.schema.createTable('lessons', (table) => {
    table.text('kind').notNullable()
    table.text('about').notNullable()
    /** Counts up with every change of a fact of this kind about this. */
    table.bigInteger('facts').notNullable()
    /** What was learnt, and from which count. */
    table.jsonb('body')
    table.bigInteger('learnt_at')
    table.primary(['kind', 'about'])
  })
}

/** The orders in which lists are read, all of the pens or of those that have one thing in common. */
const ORDERS = {
  recent: 'recent, pen_id',
  marks: 'letter, number, pen_id',
  due: 'due, pen_id',
  stages: 'stage, recent, pen_id',
  stage_marks: 'stage, letter, number, pen_id',
  stage_due: 'stage, due, pen_id',
  materials: 'material, recent, pen_id',
  fittings: 'fitting, recent, pen_id',
  methods: 'method, recent, pen_id',
  method_versions: 'method, method_version, recent, pen_id',
  projections: 'projection, pen_id',
  waits: 'waits_until',
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['lessons', 'facts', 'pen_search', 'pen_rows']) await knex.schema.dropTable(table)
  await knex.raw('drop extension pg_trgm')
  await knex.raw('drop index pens_created')
  // Each mark was on one pen alone: of several the latest keeps it, the others get numbers that no pen of their letter has.
  await knex.raw(`
    update pens set mark = left(pens.mark, 1) || (greatest(most.number, 999) + other.place)
    from (
      select id, row_number() over (partition by left(mark, 1) order by created_at, id) as place
      from (select *, row_number() over (partition by mark order by created_at desc, id desc) as copy from pens) as copies
      where copy > 1
    ) as other, (select left(mark, 1) as letter, max(substr(mark, 2)::int) as number from pens group by 1) as most
    where other.id = pens.id and most.letter = left(pens.mark, 1)`)
  await knex.raw('set constraints all immediate')
  await knex.raw('alter table pens add constraint pens_mark_unique unique (mark)')
  await knex.raw('drop trigger events_happened on events')
  await knex.raw('drop function set_happened()')
  await knex.schema.alterTable('events', table => table.dropColumn('happened_at'))
  await knex.raw('create index events_pen_id_index on events (pen_id)')
  await knex.raw('drop index events_of_pen')
  await knex.raw('drop index events_seq')
}
