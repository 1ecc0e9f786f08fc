import type { Knex } from 'knex'

/**
 * Since when sticks and sets were counted: what pens have used since then is counted off from the log, so that what is taken back or given
 * up is there again by itself.
 */
export async function up(knex: Knex): Promise<void> {
  for (const table of ['blanks', 'fittings'])
    await knex.raw(`alter table ${table} add column counted_at timestamptz not null default now()`)
  await knex.raw('create index pens_blank on pens (workshop_id, blank) where blank is not null')
}

/** What was used stays used: it is taken off the counts, as the code of before has it. */
export async function down(knex: Knex): Promise<void> {
  await knex.raw(`
    update blanks set count = greatest(0, count - used) from (
      select b.workshop_id, b.id, count(*) as used from blanks as b
      join pens on pens.workshop_id = b.workshop_id and pens.blank = b.id
      join facts on facts.workshop_id = b.workshop_id and facts.pen_id = pens.id and kind = 'step' and about = 'cut' and at > b.counted_at
      group by 1, 2) as cut
    where cut.workshop_id = blanks.workshop_id and cut.id = blanks.id`)
  await knex.raw(`
    update fittings set sets = greatest(0, sets - used) from (
      select f.workshop_id, f.id, count(distinct r.pen_id) as used from fittings as f
      join pen_rows as r on r.workshop_id = f.workshop_id and r.fitting = f.id
      join facts on facts.workshop_id = f.workshop_id and facts.pen_id = r.pen_id
        and kind = 'step' and about in ('parts', 'tube') and at > f.counted_at
      where r.stage is distinct from 'given up'
      group by 1, 2) as taken
    where taken.workshop_id = fittings.workshop_id and taken.id = fittings.id`)
  await knex.raw('set constraints all immediate')
  await knex.raw('drop index pens_blank')
  for (const table of ['blanks', 'fittings']) await knex.schema.alterTable(table, one => one.dropColumn('counted_at'))
}
