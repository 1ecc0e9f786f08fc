import type { Knex } from 'knex'

/** How worn the shelf's abrasives are and how many there are; pads with a colour and no number; what was learnt is worked out from the log. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('shelf_items', (table) => {
    table.double('worn').notNullable().defaultTo(0)
    table.integer('count')
    table.boolean('wet')
    table.boolean('dry')
  })
  await knex.schema.createTable('own_abrasives', (table) => {
    table.text('id').primary()
    for (const column of ['label', 'coarser', 'finer']) table.text(column).notNullable()
    for (const column of ['wet', 'dry']) table.boolean(column).notNullable()
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.dropTable('own_abrasives')
  await knex.schema.alterTable('shelf_items', table => table.dropColumns('worn', 'count', 'wet', 'dry'))
}
