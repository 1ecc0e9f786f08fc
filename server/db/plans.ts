import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import type { Plan } from '../../core/plan'
import { asPlan } from '../../schemas'
import { NotFoundError, StoredError } from '../faults'
import { grown, keptBeside, type VersionRow } from './plan-versions'

/** The plan that a pen's log is played on: the version it points at, without what the log's own mends put in. */
export const readPlan = async (knex: Knex, pen: { id: string, planVersion: number }): Promise<Plan> =>
  (await readBase(knex, pen.id, pen.planVersion)).plan

/**
 * The same, and which version that is; of the version the pen points at now where none is said.
 * @throws NotFoundError when there is no such pen or version, StoredError when the plan cannot be read
 */
export async function readBase(knex: Knex, penId: string, version?: number): Promise<{ version: number, plan: Plan }> {
  const query = basesOf(knex).where('pens.id', penId)
  void (version === undefined ? query.whereRaw('now.version = pens.plan_version') : query.where('now.version', version))
  const row: BaseRow | undefined = await query.first()
  if (!row) throw new NotFoundError('There is no such plan.')
  return { version: row.version, plan: readable(row) }
}

/** One version of a pen’s plan, exactly as it was made, with what mends put in. @throws NotFoundError, StoredError */
export async function readVersion(knex: Knex, penId: string, version: number): Promise<Plan> {
  const row: BaseRow | undefined = await knex('plans as base')
    .leftJoin('plans as whole', join => join.on('whole.pen_id', 'base.pen_id').andOn('whole.version', 'base.whole'))
    .where({ 'base.pen_id': penId, 'base.version': version })
    .first(...COLUMNS)
  if (!row) throw new NotFoundError('There is no such plan.')
  return readable(row)
}

type BaseRow = VersionRow & { pen_id: string, version: number }

/** Versions of pens' plans, as `now`, each with the one that the log is played on: itself, or the one that a mend began from. */
const basesOf = (knex: Knex): Knex.QueryBuilder<BaseRow, BaseRow[]> =>
  knex('pens')
    .join('plans as now', 'now.pen_id', 'pens.id')
    .join('plans as base', join =>
      join.on('base.pen_id', 'pens.id').andOn('base.version', knex.raw('coalesce(now.mends_base, now.version)')),
    )
    .leftJoin('plans as whole', join => join.on('whole.pen_id', 'base.pen_id').andOn('whole.version', 'base.whole'))
    .select(...COLUMNS)

const COLUMNS = ['base.pen_id', 'base.version', 'base.body', 'base.patch', 'whole.body as whole'] as const

/**
 * A plan as it was kept. It was checked on the way in, and checking it again costs twenty times what reading it does; only what is no
 * plan at all is noticed here, a fault of ours, not of whoever asks. @throws StoredError
 */
function readable(row: BaseRow): Plan {
  const plan = (grown(row) ?? {}) as Partial<Plan>
  if (!plan.inputs || !Array.isArray(plan.steps))
    throw new StoredError(`Plan ${row.version} of pen ${row.pen_id} cannot be read: it has no inputs or no steps.`)
  return plan as Plan
}

/** The plans of some pens that their logs are played on, by pen. One that cannot be read is left out and told in the log. */
export async function plansOf(knex: Knex, penIds: readonly string[]): Promise<Map<string, Plan>> {
  const rows: BaseRow[] = await basesOf(knex).whereRaw('now.version = pens.plan_version').whereIn('pens.id', penIds)
  return new Map(rows.flatMap((row) => {
    try {
      return [[row.pen_id, readable(row)] as const]
    } catch (error) {
      console.error((error as Error).message)
      return []
    }
  }))
}

/** Which version of a plan the log of a row of `pens` is played on: null without one, and another text whenever the plan is another. */
export const STAMP = 'base.pen_id || \' \' || base.version || \' \' || concat(base.xmin, \' \', whole.xmin)'
/** What `STAMP` is asked of, beside `pens`. */
export const STAMPED = `
  left join plans as now on now.pen_id = pens.id and now.version = pens.plan_version
  left join plans as base on base.pen_id = now.pen_id and base.version = coalesce(now.mends_base, now.version)
  left join plans as whole on whole.pen_id = base.pen_id and whole.version = base.whole`

/** A plan as it will be read again. */
const stored = (plan: Plan): Plan => asPlan(JSON.parse(JSON.stringify(plan)))

/** Keeps a version of a pen's plan, checked on the way in: what it has other than the whole one before it, where that is less. */
export async function keepPlan(knex: Knex, penId: string, version: number, plan: Plan, mendsBase: number | null = null): Promise<void> {
  const whole: { version: number, body: unknown } | undefined = await knex('plans')
    .where({ pen_id: penId })
    .whereNotNull('body')
    .orderBy('version', 'desc')
    .first('version', 'body')
  await knex('plans').insert({ pen_id: penId, version, mends_base: mendsBase, ...keptBeside(stored(plan), whole) })
}

/** So many pens' first plans are kept by one statement. */
const LOT = 100

/** Keeps the first versions of the plans of new pens, each plan checked once, for however many pens it is. */
export async function keepFirst(knex: Knex, all: readonly { pen: string, plan: Plan }[]): Promise<void> {
  const checked = new Map<Plan, ReturnType<typeof keptBeside>>()
  const rows = all.map(({ pen, plan }) => {
    const kept = checked.get(plan) ?? keptBeside(stored(plan), undefined)
    checked.set(plan, kept)
    return { pen_id: pen, version: 1, ...kept }
  })
  for (let from = 0; from < rows.length; from += LOT) await knex('plans').insert(rows.slice(from, from + LOT))
}

/**
 * Keeps the plan as the log has mended it as a new version that the pen points at; nothing is kept when its steps are those of the
 * version there is.
 */
export async function keepMended(trx: Knex, penId: string, base: number, mended: Plan): Promise<void> {
  const pen = await trx('pens').where({ id: penId }).forUpdate().first('plan_version')
  const now = await readVersion(trx, penId, pen.plan_version)
  if (isDeepStrictEqual(now.steps, JSON.parse(JSON.stringify(mended.steps)))) return
  const version = pen.plan_version + 1
  await keepPlan(trx, penId, version, mended, base)
  await trx('pens').where({ id: penId }).update({ plan_version: version })
}
