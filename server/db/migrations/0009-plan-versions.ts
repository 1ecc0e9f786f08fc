import type { Knex } from 'knex'
import { applyPatch, type Operation } from 'rfc6902'

/** A further version of a plan is kept as what it has other than an earlier whole one. Those there are stay whole. */
export async function up(knex: Knex): Promise<void> {
  await knex.schema.alterTable('plans', (table) => {
    /** A JSON Patch (RFC 6902) of the whole version. */
    table.jsonb('patch')
    /** Which version is changed by it. */
    table.integer('whole')
  })
  await knex.raw('alter table plans alter column body drop not null')
  await knex.raw(`
    alter table plans add constraint plans_one_way
      check ((body is null) = (patch is not null) and (body is null) = (whole is not null))`)
  await knex.raw(`
    alter table plans add constraint plans_whole foreign key (workshop_id, pen_id, whole) references plans (workshop_id, pen_id, version)`)
}

export async function down(knex: Knex): Promise<void> {
  for (;;) {
    const rows: { workshop_id: string, pen_id: string, version: number, patch: Operation[], whole: object }[] = await knex('plans')
      .join('plans as whole', join =>
        join.on('whole.workshop_id', 'plans.workshop_id').andOn('whole.pen_id', 'plans.pen_id').andOn('whole.version', 'plans.whole'),
      )
      .whereNotNull('plans.patch')
      .limit(200)
      .select('plans.workshop_id', 'plans.pen_id', 'plans.version', 'plans.patch', 'whole.body as whole')
    if (!rows.length) break
    for (const { patch, whole, ...key } of rows) {
      applyPatch(whole, patch)
      await knex('plans').where(key).update({ body: JSON.stringify(whole), patch: null, whole: null })
    }
  }
  await knex.raw('alter table plans drop constraint plans_whole, drop constraint plans_one_way')
  await knex.raw('alter table plans alter column body set not null')
  await knex.schema.alterTable('plans', table => table.dropColumns('patch', 'whole'))
}
