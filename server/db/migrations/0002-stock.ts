import type { Knex } from 'knex'
import { fittings } from '../../../reference'

/** What a pen is cut from: fittings, blanks with their readings and pictures, bits; the turner's own ways of cutting; and how a pen is sized. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.createTable('fittings', (table) => {
    table.text('id').primary()
    table.integer('version').notNullable().defaultTo(1)
    table.jsonb('body').notNullable()
    table.integer('sets').notNullable().defaultTo(0)
    table.text('bushings').notNullable().defaultTo('not known')
    table.boolean('gone').notNullable().defaultTo(false)
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex('fittings').insert(fittings.map(({ id, ...body }) => ({ id, body: JSON.stringify(body) })))

  await knex.schema.createTable('photos', (table) => {
    table.uuid('id').primary()
    table.integer('width').notNullable()
    table.integer('height').notNullable()
    table.binary('large').notNullable()
    table.binary('small').notNullable()
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })

  await knex.schema.createTable('blanks', (table) => {
    table.uuid('id').primary()
    table.integer('version').notNullable().defaultTo(1)
    table.text('name').notNullable()
    table.text('material')
    table.text('species')
    table.specificType('classes', 'text[]').notNullable()
    table.text('origin')
    for (const side of ['width', 'height', 'length']) table.double(side)
    table.integer('count').notNullable()
    table.boolean('damp').notNullable()
    table.uuid('photo').references('photos.id')
    table.boolean('gone').notNullable().defaultTo(false)
    table.timestamp('created_at').notNullable().defaultTo(knex.fn.now())
  })
  await knex.schema.createTable('readings', (table) => {
    table.uuid('id').primary()
    table.uuid('blank_id').notNullable().references('blanks.id').index()
    table.timestamp('at').notNullable()
    table.double('grams')
    table.double('percent')
    table.check('(grams is null) <> (percent is null)')
  })

  await knex.schema.createTable('bits', (table) => {
    table.double('diameter').primary()
    table.integer('count').notNullable()
  })

  await knex.schema.alterTable('workshop', (table) => {
    for (const habit of ['per_end', 'kerf', 'wander', 'least_wall']) table.double(habit)
  })
  await knex.schema.alterTable('pens', (table) => {
    table.uuid('blank').references('blanks.id')
    table.jsonb('sizing').notNullable().defaultTo('{}')
  })
}

export async function down(knex: Knex): Promise<void> {
  await knex.schema.alterTable('pens', table => table.dropColumns('blank', 'sizing'))
  await knex.schema.alterTable('workshop', table => table.dropColumns('per_end', 'kerf', 'wander', 'least_wall'))
  for (const table of ['bits', 'readings', 'blanks', 'photos', 'fittings']) await knex.schema.dropTable(table)
}
