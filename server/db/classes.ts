import type { Knex } from 'knex'
import type { ClassEntry, ClassPage, ListedPen, Seat } from '../../contract'
import { boardOf } from '../../core/bench'
import { classStanding, type ClassWork } from '../../core/classroom'
import type { UnitSystem } from '../../core/units'
import { must, nth } from '../../core/sure'
import type { ClassChange, Marks, NewClass, NewPen, PenChange } from '../../schemas'
import { ConflictError, NotForYouError, NotFoundError } from '../faults'
import { logsOf } from './log'
import { freeMarks, takeMark } from './marks'
import { insertPens, planning } from './pens'
import { plansOf } from './plans'
import { projectPens } from './projections'
import { rowsOf } from './rows'

type Makes = Pick<NewPen, 'fitting' | 'material' | 'method' | 'tool' | 'film'>
interface Body { makes: Makes, work: ClassWork }
interface Row { id: string, name: string, body: Body, ended: boolean, version: number, made: Date, pens: string }

const asked = (knex: Knex) => knex('classes').select(
  'id', 'name', 'body', 'ended', 'version', 'made',
  knex.raw('(select count(*) from pens where class_id = classes.id) as pens'),
) as Knex.QueryBuilder<Row, Row[]>
const asEntry = ({ body, pens, made, ...row }: Row): ClassEntry =>
  ({ ...row, work: body.work, makes: body.makes, pens: Number(pens), made: made.toISOString() })

/** The classes of a workshop, those that go on first, the latest first. */
export const listClasses = async (knex: Knex): Promise<ClassEntry[]> =>
  (await asked(knex).orderByRaw('ended, made desc, id')).map(asEntry)

async function readRow(knex: Knex, id: string): Promise<Row> {
  const [row] = await asked(knex).where({ id })
  if (!row) throw new NotFoundError('There is no such class.')
  return row
}

/** Sets a class up with a pen for each of its pupils. The same id twice is once. @throws FieldsError */
export async function createClass(trx: Knex, { id, name, work, people, ...makes }: NewClass): Promise<ClassEntry> {
  const kept = await trx('classes').insert({ id, name, body: JSON.stringify({ makes, work }) })
    .onConflict(['workshop_id', 'id']).ignore().returning('id')
  if (kept.length) await seat(trx, { id, name }, makes, people)
  return asEntry(await readRow(trx, id))
}

/** Gives each of these a pen in a class; those who have one there already keep it. */
export async function seatPupils(trx: Knex, id: string, people: readonly string[]): Promise<void> {
  const { name, body } = await readRow(trx, id)
  const there = new Set<string>(await trx('pens').where({ class_id: id }).pluck('maker'))
  await seat(trx, { id, name }, body.makes, people.filter(one => !there.has(one)))
}

async function seat(trx: Knex, { id, name }: Pick<Row, 'id' | 'name'>, makes: Makes, people: readonly string[]): Promise<void> {
  const each = [...new Set(people)]
  if (!each.length) return
  const marks = await freeMarks(trx, { count: each.length })
  for (const mark of [...marks].sort()) await takeMark(trx, mark)
  const all = each.map((_, index): NewPen => ({ mark: nth(marks, index), name, reason: null, due: null, ...makes }))
  const plan = await planning(trx)(nth(all, 0))
  const ids = await insertPens(trx, all.map(wanted => ({ wanted, plan })))
  for (const [index, pen] of ids.entries()) await trx('pens').where({ id: pen }).update({ maker: nth(each, index), class_id: id })
  await projectPens(trx, ids)
}

/** A class with everybody in it: where each is, what holds them, who was too early, what went wrong. @throws NotFoundError */
export async function readClass(knex: Knex, units: UnitSystem, id: string): Promise<ClassPage> {
  const entry = asEntry(await readRow(knex, id))
  const pens: { id: string, maker: string | null }[] = await knex('pens').where({ class_id: id }).select('id', 'maker')
  const ids = pens.map(one => one.id)
  const [rows, plans, logs] = [await rowsOf(knex, units, ids), await plansOf(knex, ids), await logsOf(knex, ids)]
  const given: { pen_id: string, body: Seat['marks'] }[] = await knex('class_marks').whereIn('pen_id', ids).select('pen_id', 'body')
  const marks = new Map(given.map(one => [one.pen_id, one.body]))
  const byMark = (a: ListedPen, b: ListedPen) => a.pen.mark.localeCompare(b.pen.mark, 'en', { numeric: true })
  const seats = [...rows].sort(byMark).map((pen): Seat => {
    const plan = plans.get(pen.pen.id)
    return {
      person: must(pens.find(one => one.id === pen.pen.id), 'it was asked for').maker ?? '',
      pen,
      standing: plan ? standing(plan, logs.get(pen.pen.id) ?? [], entry.work) : null,
      defects: pen.summary.openDefects,
      marks: marks.get(pen.pen.id) ?? { points: [], words: '' },
    }
  })
  return { entry, seats }
}

/** One pen that cannot be worked out harms no other. */
function standing(plan: Parameters<typeof boardOf>[0], log: Parameters<typeof boardOf>[1], work: ClassWork): Seat['standing'] {
  try {
    return classStanding(boardOf(plan, log).state, work)
  } catch {
    return null
  }
}

/** Changes how a class works, or ends it. @throws ConflictError */
export async function changeClass(trx: Knex, id: string, { version, name, work, ended }: ClassChange): Promise<ClassEntry> {
  const { body } = await readRow(trx, id)
  const changed = await trx('classes').where({ id, version })
    .update({ name, ended, version: version + 1, body: JSON.stringify({ ...body, work }) })
  const now = asEntry(await readRow(trx, id))
  if (!changed) throw new ConflictError('The class was changed on another device. It is shown as it is now.', now)
  return now
}

/** What the teacher gives a pen of a class. @throws NotFoundError */
export async function giveMarks(trx: Knex, id: string, { pen, ...marks }: Marks): Promise<void> {
  if (!await trx('pens').where({ id: pen, class_id: id }).first('id')) throw new NotFoundError('This pen is not in this class.')
  await trx('class_marks').insert({ pen_id: pen, body: JSON.stringify(marks) })
    .onConflict(['workshop_id', 'pen_id']).merge(['body'])
}

/** Which fields of a pen each freedom lets a pupil change. */
const FREE: Readonly<Record<ClassWork['free'][number], readonly (keyof PenChange)[]>> = {
  name: ['name', 'reason'], size: ['sizing'], wood: ['material', 'blank'],
}

/** What is the class’s of a pen is not changed by a pupil while the class goes on. @throws NotForYouError */
export async function refuseFixed(trx: Knex, pen: string, change: Partial<PenChange> | 'plan'): Promise<void> {
  const row: { body: Row['body'] } | undefined = await trx('pens').join('classes', 'classes.id', 'class_id')
    .where({ 'pens.id': pen, 'ended': false }).first('body')
  if (!row) return
  const free: readonly string[] = ['version', 'begun', ...row.body.work.free.flatMap(one => FREE[one])]
  const isFixed = change === 'plan' || Object.keys(change).some(field => !free.includes(field))
  if (isFixed) throw new NotForYouError('This is the class’s: it is the same for everybody. Ask your teacher.')
}
