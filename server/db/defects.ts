import type { Knex } from 'knex'
import type { DefectHistory, DefectPage, ListedDefect } from '../../contract'
import type { ProjectedDefect, ProjectedSummary } from '../../core/bench'
import type { StepKind } from '../../core/plan'
import type { DefectQuery } from '../../schemas'
import { FieldsError } from '../faults'
import { isFresh, keepLesson, type Lesson } from './lessons'
import { usualEvidence } from './usual'

interface Row {
  pen_id: string
  place: number
  at: Date
  mark: string
  name: string
  material: string
  fact: { defect: ProjectedDefect, found: StepKind | null }
  summary: ProjectedSummary
}

const USUAL = 50

const asCursor = ({ at, pen_id: pen, place }: Row): string => `${at.toISOString()}_${pen}_${place}`

/** @throws FieldsError when it is none of ours */
function fromCursor(cursor: string): readonly string[] {
  const parts = /^(\d{4}-\d\d-\d\dT[\d:.]+Z)_([0-9a-f-]{36})_(\d+)$/.exec(cursor)
  if (!parts) throw new FieldsError({ after: 'This is no place in this list: begin at its beginning.' })
  return parts.slice(1)
}

/** One page of the defects that are asked for, the latest first, and where the next one begins. */
export async function pageDefects(knex: Knex, asked: DefectQuery): Promise<DefectPage> {
  const { kind, material, status, cause, pens, after, limit = USUAL } = asked
  const query = knex('facts')
    .join('pens', 'pens.id', 'facts.pen_id')
    .join('pen_rows', 'pen_rows.pen_id', 'facts.pen_id')
    .where('facts.kind', 'defect')
    .whereNotNull('pen_rows.body')
    .orderBy([{ column: 'at', order: 'desc' }, { column: 'facts.pen_id', order: 'desc' }, { column: 'place', order: 'desc' }])
    .limit(limit + 1)
    .select('facts.pen_id', 'place', 'at', 'mark', 'name', 'pens.material', 'facts.body as fact', 'pen_rows.body as summary')
  if (kind) void query.where('about', kind)
  if (material) void query.where('pens.material', material)
  if (status) void query.where('status', status)
  if (cause) void query.where('judged', cause)
  if (pens) void query.whereIn('facts.pen_id', pens)
  if (after) void query.whereRaw('(at, facts.pen_id, place) < (?, ?, ?)', [...fromCursor(after)])
  const rows: Row[] = await query
  const page = rows.slice(0, limit)
  const last = page.at(-1)
  return { defects: page.map(asListed), next: rows.length > limit && last ? asCursor(last) : null }
}

const asListed = ({ pen_id: id, mark, name, material, fact, summary }: Row): ListedDefect => ({
  ...fact.defect,
  pen: { id, mark, name },
  fitting: summary.fitting,
  material: { id: material, ...summary.material },
  found: fact.found,
})

/** What the shop’s own defects tell: of each kind as it was counted last, and anew where one of it was changed since. */
export async function defectHistory(knex: Knex): Promise<DefectHistory> {
  const lessons: Lesson[] = await knex('lessons').where({ kind: 'defect' }).orderBy('about')
  const all: DefectHistory = { causes: {}, ways: [], usual: await usualEvidence(knex) }
  for (const lesson of lessons) {
    const told = isFresh(lesson) ? (lesson.body as Judged) : await counted(knex, lesson)
    Object.assign(all.causes, told.causes)
    all.ways.push(...told.ways)
  }
  return all
}

/** What the defects of one kind tell. */
type Judged = Pick<DefectHistory, 'causes' | 'ways'>

async function counted(knex: Knex, lesson: Lesson): Promise<Judged> {
  const history: Judged = { causes: {}, ways: [] }
  const rows: { body: Row['fact'] }[] = await knex('facts').where({ kind: 'defect', about: lesson.about }).orderBy('at').select('body')
  for (const { body } of rows) learn(history, body.defect)
  await keepLesson(knex, lesson, history)
  return history
}

function learn(history: Judged, { kind, judged, mends, status }: ProjectedDefect): void {
  if (judged && judged !== 'not known') {
    const of = (history.causes[kind] ??= {})
    of[judged] = (of[judged] ?? 0) + 1
  }
  mends.forEach((mend, index) => {
    const worked = !mend.failed && (Boolean(mend.done) || (status === 'mended' && index === mends.length - 1))
    if (!worked && !mend.failed) return
    const known = history.ways.find(one => one.kind === kind && one.way === mend.way)
    const row = known ?? { kind, way: mend.way, worked: 0, failed: 0 }
    if (!known) history.ways.push(row)
    row[worked ? 'worked' : 'failed']++
  })
}
