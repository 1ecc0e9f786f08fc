import type { Knex } from 'knex'

/** Who made a pen that is over: questions count by it as by its other traits. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table pen_told add column who text')
  await knex.raw(`
    update pen_told set who = pens.maker::text from pens
    where pens.workshop_id = pen_told.workshop_id and pens.id = pen_told.pen_id and pens.maker is not null`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('alter table pen_told drop column who')
}
