import type { Knex } from 'knex'

/** What the bench needs for several devices: how wrong a device's clock was, and notices to whoever listens; and versions of a plan that a mend made. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('events', (table) => {
    /** How far the device's clock was ahead, ms; null when nobody knew. */
    table.bigInteger('ahead_ms')
  })
  await knex.schema.alterTable('plans', (table) => {
    /** Of a version that a mend made: the version whose steps the log mends. */
    table.integer('mends_base')
  })
  await knex.raw(`
    create function tell_events() returns trigger language plpgsql as $$
    begin
      perform pg_notify('oxlip', json_build_object('kind', 'events')::text);
      return null;
    end $$`)
  await knex.raw('create trigger events_told after insert on events for each statement execute function tell_events()')
  await knex.raw(`
    create function tell_pen() returns trigger language plpgsql as $$
    begin
      perform pg_notify('oxlip', json_build_object('kind', 'pen', 'pen', new.id)::text);
      return null;
    end $$`)
  await knex.raw('create trigger pen_told after insert or update on pens for each row execute function tell_pen()')
  await knex.raw(`
    create function tell_air() returns trigger language plpgsql as $$
    begin
      perform pg_notify('oxlip', json_build_object('kind', 'air')::text);
      return null;
    end $$`)
  await knex.raw('create trigger air_told after insert or update on air_readings for each statement execute function tell_air()')
}

export async function down(knex: Knex): Promise<void> {
  for (const [trigger, table, name] of [['events_told', 'events', 'tell_events'], ['pen_told', 'pens', 'tell_pen'], ['air_told', 'air_readings', 'tell_air']]) {
    await knex.raw(`drop trigger ${trigger} on ${table}`)
    await knex.raw(`drop function ${name}()`)
  }
  await knex.schema.alterTable('plans', table => table.dropColumn('mends_base'))
  await knex.schema.alterTable('events', table => table.dropColumn('ahead_ms'))
}
