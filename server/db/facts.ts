import type { Knex } from 'knex'
import type { Fact } from '../../core/bench'

/** What lessons are about. */
export interface About {
  /** The kind of its facts. */
  kind: string
  /** What they are about. */
  about: string
}

/** A fact of a pen in its place among those of its kind. */
export interface Placed extends About {
  /** Of which pen. */
  pen_id: string
  /** Its place, from 0. */
  place: number
  /** When it was, ISO 8601. */
  at: string
  /** What else it says. */
  body: object
}

/** The facts of a pen as they are kept. */
export function placed(pen: string, facts: readonly Fact[]): Placed[] {
  const counts = new Map<string, number>()
  return facts.map(({ kind, about, at, ...body }) => {
    const place = counts.get(kind) ?? 0
    counts.set(kind, place + 1)
    return { pen_id: pen, kind, place, about, at, body }
  })
}

/** Counts up what is touched: in one order, so that two who count up the same wait for one another and never in a circle. */
const tellsOf = (touched: string): string => `
  insert into lessons (kind, about, facts) select kind, about, 1 from (${touched}) as touched order by kind, about
  on conflict (workshop_id, kind, about) do update set facts = lessons.facts + 1`

/**
 * The parts of a statement that keeps the facts of some pens: only what is another than before is written, and what was learnt from such
 * is told to be old, and so is what else was touched. They take the pens, `Placed` facts and what else was touched, as `asked.pens`,
 * `asked.facts` and `asked.also`; the last, `lessons_told`, writes.
 */
export const FACTS = `
  facts_now as materialized (
    select * from jsonb_to_recordset((select facts from asked))
      as one (pen_id uuid, kind text, place integer, about text, at timestamptz, body jsonb)),
  facts_before as materialized (
    select pen_id, kind, place, about, at, body from facts where pen_id = any((select pens from asked)::uuid[])),
  facts_other as materialized (
    select pen_id, kind, place, one.about, one.at, one.body, old.about as was
    from facts_now as one full join facts_before as old using (pen_id, kind, place)
    where (old.about, old.at, old.body) is distinct from (one.about, one.at, one.body)),
  facts_gone as (
    delete from facts using facts_other as one
    where one.about is null and facts.pen_id = one.pen_id and facts.kind = one.kind and facts.place = one.place),
  facts_written as (
    insert into facts (pen_id, kind, place, about, at, body)
    select pen_id, kind, place, about, at, body from facts_other where about is not null
    on conflict (workshop_id, pen_id, kind, place) do update set about = excluded.about, at = excluded.at, body = excluded.body),
  lessons_told as (${tellsOf(`
    select kind, about from facts_other where about is not null
    union select kind, was from facts_other where was is not null
    union select kind, about from jsonb_to_recordset((select also from asked)) as one (kind text, about text)`)})`

/** Counts up what these facts are about, so that what was learnt of it is worked out anew when it is next asked for. */
export async function outdate(trx: Knex, touched: readonly About[]): Promise<void> {
  if (!touched.length) return
  const asked = 'select distinct kind, about from jsonb_to_recordset(?::jsonb) as one (kind text, about text)'
  await trx.raw(tellsOf(asked), [JSON.stringify(touched)])
}
