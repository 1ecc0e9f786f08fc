import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import { replay } from '../../core/bench'
import { makePlan, planBlank, revisePlan, sandingClass, type PlanInputs, type Sizing } from '../../core/plan'
import { materialOf, materials } from '../../reference'
import type { NewPen, PenChange } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../http/errors'
import { readBlank } from './blanks'
import { eventsOf } from './events'
import { readFitting } from './fittings'
import { ownBuilds, readLearnt } from './learnt'
import { readMethod } from './methods'
import { keepPlan, readPlan } from './plans'
import { readShelf } from './shelf'
import { readWorkshop } from './workshop'

/** A pen's row: who it is for and what it is made from. Its plan and its log stand beside it. */
export interface Pen {
  id: string
  mark: string
  name: string
  reason: string | null
  due: string | null
  fitting: string
  material: string
  method: string
  tool: NewPen['tool']
  film: NewPen['film']
  /** The blank of the shelf it is cut from, if it is. */
  blank: string | null
  sizing: Sizing
  planVersion: number
  version: number
  createdAt: string
}

type Row = Omit<Pen, 'planVersion' | 'createdAt'> & { plan_version: number, created_at: Date }

const asPen = ({ plan_version: planVersion, created_at: createdAt, ...rest }: Row): Pen => ({ ...rest, planVersion, createdAt: createdAt.toISOString() })

const pensTable = (knex: Knex) => knex<Row>('pens').select('*', knex.raw('to_char(due, \'YYYY-MM-DD\') as due')) as Knex.QueryBuilder<Row, Row[]>

export async function listPens(knex: Knex): Promise<Pen[]> {
  const rows: Row[] = await pensTable(knex).orderBy(['created_at', 'mark'])
  return rows.map(asPen)
}

/** @throws NotFoundError */
export async function readPen(knex: Knex, id: string): Promise<Pen> {
  const row: Row | undefined = await pensTable(knex).where({ id }).first()
  if (!row) throw new NotFoundError('There is no such pen. It may have been entered in another workshop.')
  return asPen(row)
}

/** Starts a pen and makes its first plan from what is on the shelf now. @throws FieldsError when the mark is taken */
export async function createPen(knex: Knex, wanted: NewPen): Promise<Pen> {
  return knex.transaction(async (trx) => {
    await refuseTakenMark(trx, wanted.mark)
    const plan = makePlan(await inputsFor(trx, { ...wanted, blank: wanted.blank ?? null, sizing: {} }))
    const id = randomUUID()
    await trx('pens').insert({ ...wanted, reason: wanted.reason ?? null, due: wanted.due ?? null, blank: wanted.blank ?? null, id, plan_version: 1 })
    await keepPlan(trx, id, 1, plan)
    return readPen(trx, id)
  })
}

/** Changes a pen, and its plan where that follows. What is done stays done. @throws ConflictError with the newer pen */
export async function changePen(knex: Knex, id: string, { version, ...change }: PenChange): Promise<Pen> {
  return knex.transaction(async (trx) => {
    const pen = await lockPen(trx, id, version)
    if (change.mark && change.mark !== pen.mark) await refuseTakenMark(trx, change.mark)
    const wanted = { ...pen, ...change }
    const planned = (['fitting', 'material', 'method', 'tool', 'film', 'blank'] as const).some(field => wanted[field] !== pen[field])
      || !isDeepStrictEqual(wanted.sizing, pen.sizing)
    const planVersion = planned ? await replan(trx, pen, wanted) : pen.planVersion
    const { sizing, ...columns } = change
    await trx('pens').where({ id }).update({ ...columns, ...(sizing ? { sizing: JSON.stringify(sizing) } : {}), version: version + 1, plan_version: planVersion })
    return readPen(trx, id)
  })
}

/** Plans a pen again with the shelf and the air as they are now. @throws ConflictError with the newer pen */
export async function replanPen(knex: Knex, id: string, version: number): Promise<Pen> {
  return knex.transaction(async (trx) => {
    const pen = await lockPen(trx, id, version)
    const planVersion = await replan(trx, pen, pen)
    await trx('pens').where({ id }).update({ version: version + 1, plan_version: planVersion })
    return readPen(trx, id)
  })
}

async function replan(trx: Knex, pen: Pen, wanted: Choices): Promise<number> {
  const plan = await readPlan(trx, pen)
  const state = replay(plan, await eventsOf(trx, pen.id))
  const done = new Set(state.steps.filter(one => one.status !== 'open').map(one => one.step.id))
  await keepPlan(trx, pen.id, pen.planVersion + 1, revisePlan(plan, await inputsFor(trx, wanted), done))
  return pen.planVersion + 1
}

type Choices = Pick<Pen, 'fitting' | 'material' | 'method' | 'tool' | 'film' | 'blank' | 'sizing'>

async function inputsFor(knex: Knex, wanted: Choices): Promise<PlanInputs> {
  const { celsius, humidity, perEnd, kerf, wander, leastWall } = await readWorkshop(knex)
  const all = await readLearnt(knex)
  const shelf = await readShelf(knex, all.uses)
  const method = await readMethod(knex, wanted.method)
  const kept = await readFitting(knex, wanted.fitting)
  const blank = wanted.blank ? await readBlank(knex, wanted.blank) : undefined
  if (!kept) throw new FieldsError({ fitting: 'This fitting is not on the shelf any more: choose another.' })
  if (wanted.blank && !blank) throw new FieldsError({ blank: 'This blank is not on the shelf any more: choose another.' })
  const material = blank ? materialOf(blank) : materials.find(row => row.id === wanted.material)!
  if (!method) throw new FieldsError({ method: 'This finish is not among the methods: choose another.' })
  const learnt = all.sanding[sandingClass(material)]
  const builds = ownBuilds(all)
  return {
    fitting: kept.fitting,
    material,
    method,
    shelf,
    climate: { celsius, humidity },
    wishes: { tool: wanted.tool, film: wanted.film, ...wanted.sizing },
    ...(blank ? { blank: planBlank(blank) } : {}),
    ...(learnt ? { own: { rate: learnt.rate.likely, capacity: learnt.capacity.likely } } : {}),
    ...(Object.keys(builds).length ? { builds } : {}),
    habits: { perEnd: perEnd ?? null, kerf: kerf ?? null, wander: wander ?? null, leastWall: leastWall ?? null },
  }
}

async function lockPen(trx: Knex, id: string, version: number): Promise<Pen> {
  await trx('pens').where({ id }).forUpdate().first('id')
  const pen = await readPen(trx, id)
  if (pen.version !== version) throw new ConflictError('This pen was changed on another device. Look at it as it is now, then change it again.', pen)
  return pen
}

async function refuseTakenMark(knex: Knex, mark: string): Promise<void> {
  const taken = await knex('pens').where({ mark }).first('name')
  if (!taken) return
  const marks = new Set<string>(await knex('pens').pluck('mark'))
  let number = Number(mark.slice(1)) + 1
  while (marks.has(`${mark[0]}${number}`)) number++
  throw new FieldsError({ mark: `${mark} is on “${taken.name}” already. ${mark[0]}${number} is free.` })
}
