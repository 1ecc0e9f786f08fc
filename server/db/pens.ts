import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import type { Pen } from '../../contract'
import { replay, settledSteps } from '../../core/bench'
import { makePlan, planInputs, revisePlan, withWishes, type Plan, type PlanInputs } from '../../core/plan'
import { planBlank } from '../../core/shelf'
import { materialOf, materialWith } from '../../reference'
import type { NewPen, PenChange } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { readBlank } from './blanks'
import { eventsOf } from './log'
import { readFitting } from './fittings'
import { readLearnt } from './learnt'
import { takeMark } from './marks'
import { readMethod } from './methods'
import { asPen, penColumns, type PenColumns } from './pen-columns'
import { keepPlan, readPlan } from './plans'
import { projectPens } from './projections'
import { readShelf } from './shelf'
import { readWorkshop } from './workshop'

/** A pen by its id. @throws NotFoundError */
export async function readPen(knex: Knex, id: string): Promise<Pen> {
  const row: PenColumns | undefined = await knex('pens').where({ id }).first(...penColumns(knex))
  if (!row) throw new NotFoundError('There is no such pen. It may have been entered in another workshop.')
  return asPen(row)
}

/**
 * Starts a pen and makes its first plan from what is on the shelf now.
 * @throws FieldsError when another pen in the making has the mark, with a free one
 */
export async function createPen(knex: Knex, wanted: NewPen): Promise<Pen> {
  return knex.transaction(async (trx) => {
    await takeMark(trx, wanted.mark)
    const row = { ...wanted, reason: wanted.reason ?? null, due: wanted.due ?? null, blank: wanted.blank ?? null }
    const plan = makePlan(await freshInputs(trx, { ...row, sizing: {} }))
    const id = randomUUID()
    await trx('pens').insert({ ...row, id, plan_version: 1 })
    await keepPlan(trx, id, 1, plan)
    await projectPens(trx, [id])
    return readPen(trx, id)
  })
}

/**
 * Changes a pen, and its plan where that follows: by what was changed and nothing else. What is done stays done.
 * @throws ConflictError with the newer pen, FieldsError
 */
export async function changePen(knex: Knex, id: string, { version, ...change }: PenChange): Promise<Pen> {
  return knex.transaction(async (trx) => {
    const pen = await lockPen(trx, id, version)
    if (change.mark && change.mark !== pen.mark) await takeMark(trx, change.mark, id)
    const wanted = { ...pen, ...change }
    const planVersion = isPlannedAlike(pen, wanted) ? pen.planVersion : await keepNext(trx, pen, await changedPlan(trx, pen, wanted))
    const { sizing, ...columns } = change
    const row = { ...columns, ...(sizing ? { sizing: JSON.stringify(sizing) } : {}), version: version + 1, plan_version: planVersion }
    await trx('pens').where({ id }).update(row)
    await projectPens(trx, [id])
    return readPen(trx, id)
  })
}

/**
 * Plans a pen again with the shelf, the air and all else as they are now. What is done stays done. @throws ConflictError with the newer
 * pen
 */
export async function replanPen(knex: Knex, id: string, version: number): Promise<Pen> {
  return knex.transaction(async (trx) => {
    const pen = await lockPen(trx, id, version)
    const { plan, done } = await planAndDone(trx, pen)
    const planVersion = await keepNext(trx, pen, revisePlan(plan, await freshInputs(trx, pen), done))
    await trx('pens')
      .where({ id })
      .update({ version: version + 1, plan_version: planVersion })
    await projectPens(trx, [id])
    return readPen(trx, id)
  })
}

/** What a pen is planned from. */
type Choices = Pick<Pen, 'fitting' | 'material' | 'method' | 'tool' | 'film' | 'blank' | 'sizing'>

const isPlannedAlike = (pen: Choices, wanted: Choices): boolean =>
  (['fitting', 'material', 'method', 'tool', 'film', 'blank'] as const).every(field => wanted[field] === pen[field])
  && isDeepStrictEqual(wanted.sizing, pen.sizing)

const wishesOf = ({ tool, film, sizing }: Choices): PlanInputs['wishes'] => ({ tool, film, ...sizing })

async function planAndDone(trx: Knex, pen: Pen): Promise<{ plan: Plan, done: Set<string> }> {
  const plan = await readPlan(trx, pen)
  return { plan, done: settledSteps(replay(plan, await eventsOf(trx, pen.id))) }
}

async function keepNext(trx: Knex, pen: Pen, plan: Plan): Promise<number> {
  await keepPlan(trx, pen.id, pen.planVersion + 1, plan)
  return pen.planVersion + 1
}

/** The plan with what was chosen otherwise, and its own shelf, air and all else as they were. */
async function changedPlan(trx: Knex, pen: Pen, wanted: Choices): Promise<Plan> {
  const { plan, done } = await planAndDone(trx, pen)
  const wishes = wishesOf(wanted)
  const other = {
    ...(wanted.fitting === pen.fitting ? {} : { fitting: await chosenFitting(trx, wanted.fitting) }),
    ...(wanted.method === pen.method ? {} : { method: await chosenMethod(trx, wanted.method) }),
    ...(wanted.material === pen.material && wanted.blank === pen.blank ? {} : await cutFrom(trx, wanted, plan)),
  }
  return Object.keys(other).length ? revisePlan(plan, { ...other, wishes }, done) : withWishes(plan, wishes, done)
}

/** Another material or blank, with the turner's own rates on it. */
async function cutFrom(trx: Knex, wanted: Choices, plan: Plan): Promise<Partial<PlanInputs>> {
  const { material, blank } = await chosenBlank(trx, wanted)
  const ingredients = { ...plan.inputs, material, workshop: { ...plan.inputs.climate, ...plan.inputs.habits } }
  const { own } = planInputs({ ...ingredients, taught: await readLearnt(trx) })
  return { material, blank, own }
}

/** All that a plan is made from, as it is now. */
async function freshInputs(knex: Knex, wanted: Choices): Promise<PlanInputs> {
  const taught = await readLearnt(knex)
  return planInputs({
    fitting: await chosenFitting(knex, wanted.fitting),
    ...(await chosenBlank(knex, wanted)),
    method: await chosenMethod(knex, wanted.method),
    shelf: await readShelf(knex),
    workshop: await readWorkshop(knex),
    wishes: wishesOf(wanted),
    taught,
  })
}

async function chosenFitting(knex: Knex, id: string): Promise<PlanInputs['fitting']> {
  const kept = await readFitting(knex, id)
  if (!kept) throw new FieldsError({ fitting: 'This fitting is not on the shelf any more: choose another.' })
  return kept.fitting
}

async function chosenMethod(knex: Knex, id: string): Promise<PlanInputs['method']> {
  const method = await readMethod(knex, id)
  if (!method) throw new FieldsError({ method: 'This finish is not among the methods: choose another.' })
  return method
}

async function chosenBlank(knex: Knex, { blank: id, material }: Choices): Promise<Pick<PlanInputs, 'material' | 'blank'>> {
  if (!id) return { material: materialWith(material) }
  const blank = await readBlank(knex, id)
  if (!blank) throw new FieldsError({ blank: 'This blank is not on the shelf any more: choose another.' })
  return { material: materialOf(blank), blank: planBlank(blank) }
}

async function lockPen(trx: Knex, id: string, version: number): Promise<Pen> {
  await trx('pens').where({ id }).forUpdate().first('id')
  const pen = await readPen(trx, id)
  if (pen.version !== version)
    throw new ConflictError('This pen was changed on another device. Look at it as it is now, then change it again.', pen)
  return pen
}
