import { isDeepStrictEqual } from 'node:util'
import type { Knex } from 'knex'
import type { Plan } from '../../core/plan'
import { asPlan } from '../../schemas'

/** The plan that a pen's log is played on: the version it points at, without what the log's own mends put in. */
export const readPlan = async (knex: Knex, pen: { id: string, planVersion: number }): Promise<Plan> => (await readBase(knex, pen.id, pen.planVersion)).plan

/** The same, and which version that is; of the version the pen points at now where none is said. */
export async function readBase(knex: Knex, penId: string, version?: number): Promise<{ version: number, plan: Plan }> {
  const at = version ?? (await knex('pens').where({ id: penId }).first('plan_version')).plan_version
  const { mends_base: base } = await knex('plans').where({ pen_id: penId, version: at }).first('mends_base')
  const { body } = await knex('plans').where({ pen_id: penId, version: base ?? at }).first('body')
  return { version: base ?? at, plan: asPlan(body) }
}

/** The current plans of many pens in one query. */
export async function readPlans(knex: Knex): Promise<Map<string, Plan>> {
  const rows = await knex('pens')
    .join('plans as now', join => join.on('now.pen_id', 'pens.id').andOn('now.version', 'pens.plan_version'))
    .join('plans as base', join => join.on('base.pen_id', 'pens.id').andOn('base.version', knex.raw('coalesce(now.mends_base, now.version)')))
    .select('base.pen_id', 'base.body')
  return new Map(rows.map(row => [row.pen_id, asPlan(row.body)]))
}

const stored = (plan: Plan): Plan => asPlan(JSON.parse(JSON.stringify(plan)))

/** Keeps a version of a pen's plan, checked on the way in. */
export const keepPlan = (knex: Knex, penId: string, version: number, plan: Plan) =>
  knex('plans').insert({ pen_id: penId, version, body: JSON.stringify(stored(plan)) })

/** Keeps the plan as the log has mended it as a new version that the pen points at; nothing is kept when its steps are those of the version there is. */
export async function keepMended(trx: Knex, penId: string, base: number, mended: Plan): Promise<void> {
  const pen = await trx('pens').where({ id: penId }).forUpdate().first('plan_version')
  const now = await trx('plans').where({ pen_id: penId, version: pen.plan_version }).first('body')
  const plan = stored(mended)
  if (isDeepStrictEqual(asPlan(now.body).steps, plan.steps)) return
  const version = pen.plan_version + 1
  await trx('plans').insert({ pen_id: penId, version, body: JSON.stringify(plan), mends_base: base })
  await trx('pens').where({ id: penId }).update({ plan_version: version })
}
