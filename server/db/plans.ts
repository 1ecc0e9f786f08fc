import type { Knex } from 'knex'
import type { Plan } from '../../core/plan'
import { asPlan } from '../../schemas'

/** The plan a pen points at. */
export async function readPlan(knex: Knex, pen: { id: string, planVersion: number }): Promise<Plan> {
  const row = await knex('plans').where({ pen_id: pen.id, version: pen.planVersion }).first('body')
  return asPlan(row.body)
}

/** The current plans of many pens in one query. */
export async function readPlans(knex: Knex): Promise<Map<string, Plan>> {
  const rows = await knex('plans').join('pens', join => join.on('pens.id', 'plans.pen_id').andOn('pens.plan_version', 'plans.version')).select('pen_id', 'body')
  return new Map(rows.map(row => [row.pen_id, asPlan(row.body)]))
}

/** Keeps a version of a pen's plan, checked on the way in. */
export const keepPlan = (knex: Knex, penId: string, version: number, plan: Plan) =>
  knex('plans').insert({ pen_id: penId, version, body: JSON.stringify(asPlan(JSON.parse(JSON.stringify(plan)))) })
