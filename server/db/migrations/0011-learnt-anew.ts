import type { Knex } from 'knex'

/**
 * What looks at grits told is kept in another form, with every look of a grit together: facts of the old form go, and are made again with
 * their pens in the background; what was learnt from them is learnt anew.
 */
export async function up(knex: Knex): Promise<void> {
  await forget(knex)
}

/** Code of before reads no fact of the new form; it makes its own again with its pens. */
export async function down(knex: Knex): Promise<void> {
  await forget(knex)
}

async function forget(knex: Knex): Promise<void> {
  await knex.raw('delete from facts where kind = \'sanding\'')
  await knex.raw('update lessons set learnt_at = null, body = null')
}
