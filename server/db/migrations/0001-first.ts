import type { Knex } from 'knex'

export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('workshop', (table) => {
    table.integer('id').primary().checkIn(['1'])
    table.integer('version').notNullable().defaultTo(1)
    table.double('celsius').notNullable()
    table.double('humidity').notNullable()
    table.text('units').notNullable()
  })
  await knex('workshop').insert({ id: 1, celsius: 20, humidity: 55, units: 'metric' })

  await knex.schema.createTable('shelf_items', (table) => {
    table.text('item').primary()
    table.timestamp('put_at').notNullable().defaultTo(knex.fn.now())
  })

  await knex.schema.createTable('pens', (table) => {
    table.uuid('id').primary()
    table.text('mark').notNullable().unique()
    table.text('name').notNullable()
    table.text('reason')
    table.date('due')
    for (const choice of ['fitting', 'material', 'method', 'tool', 'film']) table.text(choice).notNullable()
    table.integer('plan_version').notNullable()
    table.integer('version').notNullable().defaultTo(1)
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })

  await knex.schema.createTable('plans', (table) => {
    table.uuid('pen_id').notNullable().references('pens.id')
    table.integer('version').notNullable()
    table.jsonb('body').notNullable()
    table.timestamp('made_at').notNullable().defaultTo(knex.fn.now())
    table.primary(['pen_id', 'version'])
  })

  await knex.schema.createTable('events', (table) => {
    table.uuid('id').primary()
    table.bigIncrements('seq', { primaryKey: false }).unique()
    table.uuid('pen_id').notNullable().references('pens.id').index()
    table.text('kind').notNullable()
    table.specificType('barrels', 'text[]').notNullable()
    table.timestamp('at').notNullable()
    table.timestamp('received_at').notNullable().defaultTo(knex.fn.now())
    table.text('device').notNullable()
    table.jsonb('payload').notNullable()
  })
  await knex.raw(`
    create function refuse_change() returns trigger language plpgsql as $$
    begin raise exception 'the bench log is append-only'; end $$`)
  await knex.raw('create trigger events_append_only before update or delete on events for each row execute function refuse_change()')
}

export async function down(knex: Knex): Promise<void> {
  for (const table of ['events', 'plans', 'pens', 'shelf_items', 'workshop']) await knex.schema.dropTable(table)
  await knex.raw('drop function refuse_change()')
}
