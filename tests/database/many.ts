import type { Knex } from 'knex'

/** Makes so many finished pens out of one of a workshop, with its row, its facts and its log, by the database alone. */
export async function copyPens(knex: Knex, owner: Knex, from: string, count: number): Promise<void> {
  await knex.transaction(async (trx) => {
    await trx.raw(
      'create temporary table copied on commit drop as select gen_random_uuid() as id, place from generate_series(1, ?) as place',
      [count],
    )
    await trx.raw(`
      insert into pens (id, mark, name, reason, due, fitting, material, method, tool, film, plan_version, version, created_at, sizing)
      select copied.id, 'P' || (place % 900), 'Pear ' || place, null, date '2030-01-01' + place::int, fitting, 'pear', method, tool, film,
        plan_version, version, created_at - place * interval '1 hour', sizing from pens, copied where pens.id = ?`, [from])
    await trx.raw(`
      insert into plans (pen_id, version, body)
      select copied.id, plans.version, body from copied, plans join pens on pens.id = plans.pen_id and pens.plan_version = plans.version
      where pens.id = ?`, [from])
    await trx.raw(`
      insert into events (id, pen_id, kind, barrels, at, device, payload)
      select gen_random_uuid(), copied.id, kind, barrels, at - place * interval '1 hour', device, payload from events, copied
      where pen_id = ?`, [from])
    await trx.raw(`
      insert into facts (pen_id, kind, place, about, at, body)
      select copied.id, kind, facts.place, about, at - copied.place * interval '1 hour', body from facts, copied where pen_id = ?`, [from])
    await trx.raw(`
      insert into pen_rows
        (pen_id, projection, stage, recent, letter, number, due, fitting, material, method, method_version, open_defects, body)
      select copied.id, projection, 'finished', recent - place * interval '1 hour', 'P', place % 900, date '2030-01-01' + place::int,
        fitting, 'pear', method, method_version, 0, body
      from pen_rows, copied where pen_id = ?`, [from])
    // What one that is over tells, of mixed ways of working; every fifth bled.
    await trx.raw(`
      insert into pen_told
        (pen_id, ended, coated, due, method, wood, class, fitting, first_grit, last_grit, applicator, first_coat, product, coats, air,
        warmth, tool, shape, defects, mends, failed, scrapped, finished, figures)
      select copied.id, ended - place * interval '1 hour', coated - place * interval '1 hour', due, method || ' ' || place % 7,
        wood || ' ' || place % 23, class || ' ' || place % 5, fitting, first_grit, case place % 2 when 0 then last_grit else 'P2000' end,
        case place % 3 when 0 then 'towel' else 'foam' end, first_coat, product, (place % 11)::text, air, warmth, tool, shape,
        case place % 5 when 0 then array['bleed'] else '{}' end, mends, failed, scrapped, finished,
        jsonb_build_object('minutes', 60 + place % 40)
      from pen_told, copied where pen_id = ?`, [from])
    await trx.raw(`
      insert into pen_search (pen_id, search, words)
      select id, 'p' || (place % 900) || ' pear ' || place, to_tsvector('simple', 'p' || (place % 900)) from copied`)
  })
  await owner.raw('analyze')
}

interface Node {
  'Node Type': string
  'Relation Name'?: string
  'Actual Rows': number
  'Actual Loops': number
  'Rows Removed by Filter'?: number
  'Plans'?: Node[]
}

/** Tables that grow with the pens. */
const GROWING = ['pens', 'pen_rows', 'pen_search', 'facts', 'events', 'plans']

/**
 * How many statements something takes, how many rows they read in all, and which growing tables they go through from end to end, as
 * PostgreSQL itself explains it.
 */
export async function readOf(knex: Knex, ask: () => Promise<unknown>): Promise<{ statements: number, rows: number, scans: string[] }> {
  const asked: { sql: string, bindings: readonly Knex.RawBinding[] }[] = []
  const hear = ({ sql, bindings }: { sql: string, bindings?: readonly Knex.RawBinding[] }) => asked.push({ sql, bindings: bindings ?? [] })
  knex.on('query', hear)
  await ask()
  knex.removeListener('query', hear)
  let rows = 0
  const scans: string[] = []
  const walk = (node: Node) => {
    const relation = node['Relation Name']
    if (relation) rows += (node['Actual Rows'] + (node['Rows Removed by Filter'] ?? 0)) * node['Actual Loops']
    if (node['Node Type'] === 'Seq Scan' && GROWING.includes(relation ?? '')) scans.push(relation ?? '')
    for (const one of node.Plans ?? []) walk(one)
  }
  for (const { sql, bindings } of asked.filter(one => /^(select|with)/i.test(one.sql.trim()))) {
    // Statements come as they are sent, with $1 where knex takes a question mark.
    const told = await knex.raw(`explain (analyze, format json) ${sql.replace(/\$\d+/g, '?')}`, [...bindings])
    walk(told.rows[0]['QUERY PLAN'][0].Plan)
  }
  return { statements: asked.length, rows, scans }
}
