import type { Knex } from 'knex'

/** Tables whose change screens hear of, by the kind of thing they hold. */
const TOLD: readonly [table: string, kind: string][] = [
  ['pens', 'pen'],
  ['air_readings', 'air'],
  ['workshop', 'workshop'],
  ['shelf_items', 'shelf'],
  ['own_abrasives', 'shelf'],
  ['fittings', 'fittings'],
  ['blanks', 'blanks'],
  ['readings', 'blanks'],
  ['bits', 'bits'],
  ['methods', 'methods'],
  ['method_versions', 'methods'],
]

/**
 * Every change of what screens hold is numbered, not only entries of the log: of each thing its last change stays, so that a screen
 * that was away asks for what came after the number it has. What is taken off the shelf keeps what was said of it.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('drop trigger pen_told on pens')
  await knex.raw('drop trigger air_told on air_readings')
  await knex.raw('drop function tell_pen()')
  await knex.raw('drop function tell_air()')
  await knex.schema.createTable('changes', (table) => {
    table.text('kind').notNullable()
    /** Of a pen its id; else empty. */
    table.text('ref').notNullable()
    table.bigInteger('seq').notNullable().index()
    table.primary(['kind', 'ref'])
  })
  await knex.raw('create sequence changes_seq')
  // The triggers run at the end of their transaction, when every row it writes is locked already: whoever waits for the lock here holds
  // nothing that another who has it could still want. Under the lock numbers grow in the order in which changes can be seen.
  await knex.raw(`
    create function note_change() returns trigger language plpgsql as $$
    declare about text := '';
    begin
      if tg_argv[0] = 'pen' then about := coalesce(new.id, old.id)::text; end if;
      perform pg_advisory_xact_lock(7265303);
      insert into changes (kind, ref, seq) values (tg_argv[0], about, nextval('changes_seq'))
        on conflict (kind, ref) do update set seq = excluded.seq;
      perform pg_notify('oxlip', json_build_object('kind', 'changes')::text);
      return null;
    end $$`)
  for (const [table, kind] of TOLD) {
    await knex.raw(`
      create constraint trigger ${table}_changed after insert or update or delete on ${table}
        deferrable initially deferred for each row execute function note_change('${kind}')`)
  }
  await knex.schema.alterTable('shelf_items', table => table.boolean('gone').notNullable().defaultTo(false))
}

export async function down(knex: Knex): Promise<void> {
  await knex('shelf_items').where({ gone: true }).delete()
  // What a deferred trigger still has to tell stands in the way of a change of its table.
  await knex.raw('set constraints all immediate')
  await knex.schema.alterTable('shelf_items', table => table.dropColumn('gone'))
  for (const [table] of TOLD) await knex.raw(`drop trigger ${table}_changed on ${table}`)
  await knex.raw('drop function note_change()')
  await knex.raw('drop sequence changes_seq')
  await knex.schema.dropTable('changes')
  for (const [name, table, when, body] of [
    ['pen_told', 'pens', 'for each row', '\'kind\', \'pen\', \'pen\', new.id'],
    ['air_told', 'air_readings', 'for each statement', '\'kind\', \'air\''],
  ]) {
    const tell = name === 'pen_told' ? 'tell_pen' : 'tell_air'
    await knex.raw(`
      create function ${tell}() returns trigger language plpgsql as $$
      begin
        perform pg_notify('oxlip', json_build_object(${body})::text);
        return null;
      end $$`)
    await knex.raw(`create trigger ${name} after insert or update on ${table} ${when} execute function ${tell}()`)
  }
}
