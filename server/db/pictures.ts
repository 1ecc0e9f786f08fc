import type { Knex } from 'knex'
import type { DefectPlaces, FigureCourse, KeptWaits, MeasuredFilm, StepTimes } from '../../contract'
import type { Fitting } from '../../core/barrel'
import type { ProjectedDefect } from '../../core/bench'
import { stepNature } from '../../core/plan'
import type { CourseQuery, PlacesQuery, WaitsQuery } from '../../schemas'

/** So many pens are drawn, and so many defects are looked at: the latest. */
const PENS = 120
const DEFECTS = 500
/** So many steps of a kind, growths and waits are looked at: the latest. */
const STEPS = 500
const POINTS = 300

/** How a figure went over the latest pens that tell it, in the order of time. */
export async function figureCourse(knex: Knex, { of }: CourseQuery): Promise<FigureCourse> {
  const { rows }: { rows: { id: string, mark: string, ended: Date, figure: number }[] } = await knex.raw(
    `select pens.id, mark, told.ended, told.figure from (
       select pen_id, ended, (figures->>?)::float8 as figure from pen_told
       where jsonb_typeof(figures->?) = 'number' order by ended desc, pen_id desc limit ?
     ) as told join pens on pens.id = told.pen_id order by told.ended, told.pen_id`, [of, of, PENS])
  return { pens: rows.map(({ ended, ...pen }) => ({ ...pen, ended: ended.toISOString() })) }
}

/** Where a kind of defect was found, by fitting: those with most of them first. */
export async function defectPlaces(knex: Knex, { kind }: PlacesQuery): Promise<DefectPlaces[]> {
  const rows: { defect: ProjectedDefect, fitting: Fitting }[] = await knex('facts')
    .join('pen_rows', 'pen_rows.pen_id', 'facts.pen_id')
    .where({ kind: 'defect', about: kind })
    .whereNotNull('pen_rows.body')
    .whereRaw('jsonb_typeof(facts.body->\'defect\') = \'object\'')
    .orderBy([{ column: 'at', order: 'desc' }, { column: 'facts.pen_id' }, { column: 'place' }])
    .limit(DEFECTS)
    .select(knex.raw('facts.body->\'defect\' as defect'), knex.raw('pen_rows.body->\'fitting\' as fitting'))
  const byFitting = new Map<string, DefectPlaces>()
  for (const { defect: { id, barrel, fromTip, size, around }, fitting } of rows) {
    const known = byFitting.get(fitting.id) ?? { fitting, defects: [] }
    // Another set of the same name may have had other barrels.
    if (!known.fitting.barrels.some(one => one.id === barrel && fromTip <= one.tubeLength)) continue
    known.defects.push({ id, kind, barrel, fromTip, size, ...(around === undefined ? {} : { around }) })
    byFitting.set(fitting.id, known)
  }
  return [...byFitting.values()].sort((a, b) => b.defects.length - a.defects.length)
}

/** How long hands were on steps, kind by kind, over the latest that were measured or said; the kinds that take longest first. */
export async function stepTimes(knex: Knex): Promise<StepTimes[]> {
  const kinds = Object.keys(stepNature)
  const { rows }: { rows: StepTimes[] } = await knex.raw(
    `select kind, count(*)::int as steps, percentile_cont(array[0.1, 0.25, 0.5, 0.75, 0.9]) within group (order by seconds) as taken,
       percentile_cont(0.5) within group (order by planned) as planned
     from unnest(?::text[]) as kind cross join lateral (
       select (body->'seconds')::float8 as seconds, (body->'planned')::float8 as planned from facts
       where facts.kind = 'step' and about = kind.kind and body->>'timing' in ('measured', 'yours')
         and jsonb_typeof(body->'seconds') = 'number' and jsonb_typeof(body->'planned') = 'number'
       order by at desc limit ?
     ) as latest group by kind order by percentile_cont(0.5) within group (order by seconds) desc, kind`, [kinds, STEPS])
  return rows
}

/** The pen of a point in a picture. */
const POINT = 'pens.id, pens.mark, facts.at'
/** A point as the database has it. */
type Raw<Point> = Omit<Point, 'at'> & { at: Date }

/** Film that coats built beside what the plan had reckoned with, over the latest that was measured. */
export async function measuredFilm(knex: Knex): Promise<MeasuredFilm> {
  const { rows }: { rows: Raw<MeasuredFilm['coats'][number]>[] } = await knex.raw(
    `select ${POINT}, about as product, (body->'growth')::float8 as built, (body->'planned')::float8 as planned
     from facts join pens on pens.id = facts.pen_id
     where kind = 'growth' and jsonb_typeof(body->'growth') = 'number' and jsonb_typeof(body->'planned') = 'number'
     order by facts.at desc limit ?`, [POINTS])
  return { coats: rows.map(({ at, ...one }) => ({ ...one, at: at.toISOString() })) }
}

/** How long waits for something were, and in what air, over the latest. */
export async function keptWaits(knex: Knex, { purpose }: WaitsQuery): Promise<KeptWaits> {
  const { rows }: { rows: Raw<KeptWaits['waits'][number]>[] } = await knex.raw(
    `select ${POINT}, (body->'waited')::float8 as waited, (body->'seconds')::float8 as wanted, (body->'shortBy')::float8 as "shortBy",
       (body #> '{air,celsius}')::float8 as celsius, (body #> '{air,humidity}')::float8 as humidity
     from facts join pens on pens.id = facts.pen_id
     where kind = 'wait' and about = ? and jsonb_typeof(body->'waited') = 'number' and jsonb_typeof(body->'seconds') = 'number'
       and jsonb_typeof(body->'shortBy') = 'number' and jsonb_typeof(body #> '{air,celsius}') = 'number'
       and jsonb_typeof(body #> '{air,humidity}') = 'number'
     order by facts.at desc limit ?`, [purpose, POINTS])
  return { waits: rows.map(({ at, ...one }) => ({ ...one, at: at.toISOString() })) }
}
