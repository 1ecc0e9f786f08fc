import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import type { Plan } from '../../core/plan'
import { asPlan } from '../../schemas'
import { NotFoundError, StoredError } from '../faults'

/** The plan that a pen's log is played on: the version it points at, without what the log's own mends put in. */
export const readPlan = async (knex: Knex, pen: { id: string, planVersion: number }): Promise<Plan> =>
  (await readBase(knex, pen.id, pen.planVersion)).plan

/**
 * The same, and which version that is; of the version the pen points at now where none is said.
 * @throws NotFoundError when there is no such pen or version, StoredError when the plan cannot be read
 */
export async function readBase(knex: Knex, penId: string, version?: number): Promise<{ version: number, plan: Plan }> {
  const pen: { plan_version: number } | undefined = await knex('pens').where({ id: penId }).first('plan_version')
  const at = version ?? pen?.plan_version
  const now: { mends_base: number | null } | undefined = at === undefined ? undefined : await planAt(knex, penId, at).first('mends_base')
  if (at === undefined || !now) throw new NotFoundError('There is no such plan.')
  const base = now.mends_base ?? at
  const row: { body: unknown } | undefined = await planAt(knex, penId, base).first('body')
  return { version: base, plan: readable(row?.body, penId, base) }
}

const planAt = (knex: Knex, penId: string, version: number) => knex('plans').where({ pen_id: penId, version })

/**
 * A plan as it was kept. It was checked on the way in, and checking it again costs twenty times what reading it does; only what is no
 * plan at all is noticed here, a fault of ours, not of whoever asks. @throws StoredError
 */
function readable(body: unknown, penId: string, version: number): Plan {
  const { inputs, steps } = (body ?? {}) as Partial<Plan>
  if (!inputs || !Array.isArray(steps))
    throw new StoredError(`Plan ${version} of pen ${penId} cannot be read: it has no inputs or no steps.`)
  return body as Plan
}

/** The plans of some pens that their logs are played on, by pen. One that cannot be read is left out and told in the log. */
export async function plansOf(knex: Knex, penIds: readonly string[]): Promise<Map<string, Plan>> {
  const rows: { pen_id: string, version: number, body: unknown }[] = await knex('pens')
    .join('plans as now', join => join.on('now.pen_id', 'pens.id').andOn('now.version', 'pens.plan_version'))
    .join('plans as base', join =>
      join.on('base.pen_id', 'pens.id').andOn('base.version', knex.raw('coalesce(now.mends_base, now.version)')),
    )
    .whereIn('pens.id', penIds)
    .select('base.pen_id', 'base.version', 'base.body')
  return new Map(rows.flatMap(({ pen_id: pen, version, body }) => {
    try {
      return [[pen, readable(body, pen, version)] as const]
    } catch (error) {
      console.error((error as Error).message)
      return []
    }
  }))
}

/** A plan as it will be read again. */
const stored = (plan: Plan): Plan => asPlan(JSON.parse(JSON.stringify(plan)))

/** Keeps a version of a pen's plan, checked on the way in. */
export const keepPlan = (knex: Knex, penId: string, version: number, plan: Plan) =>
  knex('plans').insert({ pen_id: penId, version, body: JSON.stringify(stored(plan)) })

/**
 * Keeps the plan as the log has mended it as a new version that the pen points at; nothing is kept when its steps are those of the
 * version there is.
 */
export async function keepMended(trx: Knex, penId: string, base: number, mended: Plan): Promise<void> {
  const pen = await trx('pens').where({ id: penId }).forUpdate().first('plan_version')
  const now = await planAt(trx, penId, pen.plan_version).first('body')
  const plan = stored(mended)
  if (isDeepStrictEqual(now.body.steps, JSON.parse(JSON.stringify(plan.steps)))) return
  const version = pen.plan_version + 1
  await trx('plans').insert({ pen_id: penId, version, body: JSON.stringify(plan), mends_base: base })
  await trx('pens').where({ id: penId }).update({ plan_version: version })
}
