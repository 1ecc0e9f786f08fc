import { randomUUID } from 'node:crypto'
import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import type { Pen } from '../../contract'
import { boardOf, settledSteps, type BenchEvent, type BenchState } from '../../core/bench'
import { makePlan, noLongerFits, planInputs, revisePlan, withWishes, type Plan, type PlanInputs, type UnfitStep } from '../../core/plan'
import { planBlank } from '../../core/shelf'
import { must, nth } from '../../core/sure'
import { materialOf, materialWith } from '../../reference'
import type { FieldErrors, NewPen, PenChange } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { oneAtATime } from './append-lock'
import { readBlank } from './blanks'
import { eventsOf, keepEntries } from './log'
import { fittingItself } from './fittings'
import { readLearnt } from './learnt'
import { takeMark } from './marks'
import { readMethod } from './methods'
import { asPen, penColumns, type PenColumns } from './pen-columns'
import { keepFirst, keepPlan, plansOf } from './plans'
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
    const plan = await planning(trx)(wanted)
    const [id] = await insertPens(trx, [{ wanted, plan }])
    await projectPens(trx, [must(id, 'one pen was kept')])
    return readPen(trx, must(id, 'one pen was kept'))
  })
}

/**
 * Starts several pens in one go, in their order: all of them, or none.
 * @throws FieldsError at the first pen that cannot be started, `pens[3].mark`
 */
export async function createPens(knex: Knex, wanted: readonly NewPen[]): Promise<Pen[]> {
  return knex.transaction(async (trx) => {
    // Marks in one order, whoever wants them: two who start many at once do not wait for each other in a ring.
    const marks = wanted.map(({ mark }, index) => ({ mark, index })).sort((a, b) => (a.mark < b.mark ? -1 : 1))
    for (const { mark, index } of marks) await at(index, () => takeMark(trx, mark))
    refuseTwice(wanted)
    const planOf = planning(trx)
    const planned: NewlyPlanned[] = []
    for (const [index, one] of wanted.entries()) planned.push({ wanted: one, plan: await at(index, () => planOf(one)) })
    const ids = await insertPens(trx, planned)
    await projectPens(trx, ids)
    const pens: Pen[] = []
    for (const id of ids) pens.push(await readPen(trx, id))
    return pens
  })
}

/** What goes wrong with one of several is told at its place among them. */
async function at<T>(index: number, run: () => Promise<T>): Promise<T> {
  try {
    return await run()
  } catch (error) {
    if (!(error instanceof FieldsError)) throw error
    throw new FieldsError(Object.fromEntries(Object.entries(error.fields).map(([field, says]) => [`pens[${index}].${field}`, says])))
  }
}

function refuseTwice(wanted: readonly NewPen[]): void {
  const twice = wanted.findIndex(({ mark }, index) => wanted.findIndex(one => one.mark === mark) < index)
  if (twice >= 0) throw new FieldsError({ [`pens[${twice}].mark`]: 'Another of these pens has this mark already.' })
}

/** A pen that is about to be started, with its first plan. */
export interface NewlyPlanned {
  /** As it is started. */
  wanted: NewPen
  /** Its plan, which it may share with others that are planned alike. */
  plan: Plan
}

/** Makes plans of new pens from what is there now: those that are planned alike share one. */
export function planning(trx: Knex): (wanted: NewPen) => Promise<Plan> {
  const made = new Map<string, Promise<Plan>>()
  let common: Promise<CommonInputs> | undefined
  return (wanted) => {
    const { fitting, material, method, tool, film, blank = null, sizing = {} } = wanted
    const choices = { fitting, material, method, tool, film, blank, sizing }
    const key = JSON.stringify(choices)
    const plan = made.get(key) ?? (async () => {
      common ??= commonInputs(trx)
      return makePlan(await freshInputs(trx, choices, await common))
    })()
    made.set(key, plan)
    return plan
  }
}

/** So many pens are kept by one statement. */
const LOT = 500

/** Keeps the rows of new pens, without what follows from them; answers their ids in their order. */
export async function insertPens(trx: Knex, all: readonly NewlyPlanned[]): Promise<string[]> {
  const rows = all.map(({ wanted: { sizing = {}, ...wanted } }) => ({
    ...wanted, reason: wanted.reason ?? null, due: wanted.due ?? null, blank: wanted.blank ?? null, sizing: JSON.stringify(sizing),
    id: randomUUID(), plan_version: 1,
  }))
  for (let from = 0; from < rows.length; from += LOT) await trx('pens').insert(rows.slice(from, from + LOT))
  await keepFirst(trx, all.map(({ plan }, index) => ({ pen: nth(rows, index).id, plan })))
  return rows.map(row => row.id)
}

/**
 * Changes a pen, and its plan where that follows: by what was changed and nothing else. What is done stays done; where some of it no
 * longer fits it must be said what becomes of it: it is open again, or counts as done all the same.
 * @throws ConflictError with the newer pen, FieldsError
 */
export async function changePen(knex: Knex, id: string, { version, begun, ...change }: PenChange): Promise<Pen> {
  return knex.transaction(async (trx) => {
    // Entries are numbered before any pen is held, as whoever appends some does.
    if (begun === 'open again') await oneAtATime(trx)
    const pen = await lockPen(trx, id, version)
    if (change.mark && change.mark !== pen.mark) await takeMark(trx, change.mark, id)
    const wanted = { ...pen, ...change }
    const isAsItWas = isPlannedAlike(pen, wanted) && (await planAndDone(trx, pen)) !== undefined
    const planVersion = isAsItWas ? pen.planVersion : await keepNext(trx, pen, await changedPlan(trx, pen, wanted, begun))
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
    const inputs = await freshInputs(trx, pen)
    const known = await planAndDone(trx, pen)
    const plan = known ? revisePlan(known.plan, stillFitting(known, inputs), known.done) : makePlan(inputs)
    const planVersion = await keepNext(trx, pen, plan)
    await trx('pens')
      .where({ id })
      .update({ version: version + 1, plan_version: planVersion })
    await projectPens(trx, [id])
    return readPen(trx, id)
  })
}

/**
 * The inputs as they are now, but for a fitting, material or blank that was changed on the shelf and would undo what is done: for that a
 * pen keeps what it was begun with.
 */
function stillFitting({ plan, done }: { plan: Plan, done: ReadonlySet<string> }, now: PlanInputs): PlanInputs {
  const { fitting, material, blank, ...rest } = now
  const { fitting: was, material: of, blank: from } = plan.inputs
  const unfit = noLongerFits(plan, { fitting, material, ...(blank ? { blank } : {}) }, done, String)
  return unfit.length ? { ...rest, fitting: was, material: of, ...(from ? { blank: from } : {}) } : now
}

/** What a pen is planned from. */
type Choices = Pick<Pen, 'fitting' | 'material' | 'method' | 'tool' | 'film' | 'blank' | 'sizing'>

const isPlannedAlike = (pen: Choices, wanted: Choices): boolean =>
  (['fitting', 'material', 'method', 'tool', 'film', 'blank'] as const).every(field => wanted[field] === pen[field])
  && isDeepStrictEqual(wanted.sizing, pen.sizing)

const wishesOf = ({ tool, film, sizing }: Choices): PlanInputs['wishes'] => ({ tool, film, ...sizing })

/** The plan of a pen, how it stands and what is done of it; undefined when it cannot be worked out: it is then planned anew. */
async function planAndDone(trx: Knex, pen: Pen): Promise<{ plan: Plan, state: BenchState, done: Set<string> } | undefined> {
  const [plan, events] = [(await plansOf(trx, [pen.id])).get(pen.id), await eventsOf(trx, pen.id)]
  if (!plan) return undefined
  try {
    const { state } = boardOf(plan, events)
    return { plan, state, done: settledSteps(state) }
  } catch {
    return undefined
  }
}

async function keepNext(trx: Knex, pen: Pen, plan: Plan): Promise<number> {
  await keepPlan(trx, pen.id, pen.planVersion + 1, plan)
  return pen.planVersion + 1
}

/** The plan with what was chosen otherwise, and its own shelf, air and all else as they were. */
async function changedPlan(trx: Knex, pen: Pen, wanted: Choices, begun: PenChange['begun']): Promise<Plan> {
  const known = await planAndDone(trx, pen)
  if (!known) return makePlan(await freshInputs(trx, wanted))
  const { plan, state } = known
  const wishes = wishesOf(wanted)
  const other = {
    ...(wanted.fitting === pen.fitting ? {} : { fitting: await chosenFitting(trx, wanted.fitting) }),
    ...(wanted.method === pen.method ? {} : { method: await chosenMethod(trx, wanted.method) }),
    ...(wanted.material === pen.material && wanted.blank === pen.blank ? {} : await cutFrom(trx, wanted, plan)),
  }
  const unfit = noLongerFits(plan, other, known.done, mm => `${mm} mm`)
  if (unfit.length && begun === undefined) throw new FieldsError(unfitFields(pen, wanted, unfit))
  const open = new Set(begun === 'open again' ? unfit.map(one => one.step) : [])
  await takeBack(trx, pen.id, state, open)
  const done = new Set([...known.done].filter(step => !open.has(step)))
  return Object.keys(other).length ? revisePlan(plan, { ...other, wishes }, done) : withWishes(plan, wishes, done)
}

/** At the field that was chosen otherwise: what no longer fits, and what can be said of it. */
function unfitFields(pen: Choices, wanted: Choices, unfit: readonly UnfitStep[]): FieldErrors {
  const field = (['fitting', 'material'] as const).find(one => wanted[one] !== pen[one]) ?? 'blank'
  const reasons = [...new Set(unfit.map(one => one.why))].join(' ')
  return { [field]: `${reasons} Say whether what is done is to be done again or counts as done.` }
}

/** So many entries are taken back by one. */
const AT_ONCE = 50

/** Takes back all that was entered of some steps: they are open again. */
async function takeBack(trx: Knex, pen: string, { held }: BenchState, steps: ReadonlySet<string>): Promise<void> {
  if (!steps.size) return
  const about = (event: BenchEvent) => 'step' in event.payload && event.payload.step !== null && steps.has(event.payload.step)
  const entries = held.all.filter(event => event.kind !== 'undo' && about(event)).map(event => event.id)
  const at = new Date().toISOString()
  const undo = (some: readonly string[]): BenchEvent =>
    ({ id: randomUUID(), pen, kind: 'undo', barrels: [], at, device: 'a change of the pen', payload: { entries: some } })
  const parts = Array.from({ length: Math.ceil(entries.length / AT_ONCE) }, (_, part) => part * AT_ONCE)
  const events = parts.map(from => undo(entries.slice(from, from + AT_ONCE)))
  if (events.length) await keepEntries(trx, events)
}

/** Another material or blank, with the turner's own rates on it. */
async function cutFrom(trx: Knex, wanted: Choices, plan: Plan): Promise<Partial<PlanInputs>> {
  const { material, blank } = await chosenBlank(trx, wanted)
  const ingredients = { ...plan.inputs, material, workshop: { ...plan.inputs.climate, ...plan.inputs.habits } }
  const { own } = planInputs({ ...ingredients, taught: await readLearnt(trx) })
  return { material, blank, own }
}

/** What is the same for every pen that is planned now. */
type CommonInputs = Pick<Parameters<typeof planInputs>[0], 'shelf' | 'workshop' | 'taught'>

const commonInputs = async (knex: Knex): Promise<CommonInputs> => ({
  taught: await readLearnt(knex),
  shelf: await readShelf(knex),
  workshop: await readWorkshop(knex),
})

/** All that a plan is made from, as it is now. */
async function freshInputs(knex: Knex, wanted: Choices, common?: CommonInputs): Promise<PlanInputs> {
  return planInputs({
    fitting: await chosenFitting(knex, wanted.fitting),
    ...(await chosenBlank(knex, wanted)),
    method: await chosenMethod(knex, wanted.method),
    wishes: wishesOf(wanted),
    ...(common ?? (await commonInputs(knex))),
  })
}

async function chosenFitting(knex: Knex, id: string): Promise<PlanInputs['fitting']> {
  const kept = await fittingItself(knex, id)
  if (!kept) throw new FieldsError({ fitting: 'This fitting is not on the shelf any more: choose another.' })
  return kept
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
  if (blank.board) throw new FieldsError({ blank: 'This is a board: cut sticks from it first (Shelf, Cutting).' })
  return { material: materialOf(blank), blank: planBlank(blank) }
}

async function lockPen(trx: Knex, id: string, version: number): Promise<Pen> {
  await trx('pens').where({ id }).forUpdate().first('id')
  const pen = await readPen(trx, id)
  if (pen.version !== version)
    throw new ConflictError('This pen was changed on another device. Look at it as it is now, then change it again.', pen)
  return pen
}
