import type { Knex } from 'knex'
import type { DefectPlaces, FigureCourse } from '../../contract'
import type { Fitting } from '../../core/barrel'
import type { ProjectedDefect } from '../../core/bench'
import type { CourseQuery, PlacesQuery } from '../../schemas'

/** So many pens are drawn, and so many defects are looked at: the latest. */
const PENS = 120
const DEFECTS = 500

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
