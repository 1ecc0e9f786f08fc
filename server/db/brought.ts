import type { Knex } from 'knex'
import type { BroughtBefore } from '../../contract'
import { broughtOf } from '../../core/orders'
import type { BroughtQuery } from '../../schemas'

/** So many sales are looked at, the latest. */
const LATEST = 200
/** From the nearest pens to those that are only of the same fitting. */
const NEAR: readonly [NonNullable<BroughtBefore['by']>, readonly (keyof BroughtQuery)[]][] = [
  ['all', ['fitting', 'material', 'method']],
  ['fitting and material', ['fitting', 'material']],
  ['fitting', ['fitting']],
]

/** What pens like one brought, of the nearest that were sold. */
export async function broughtBefore(knex: Knex, asked: BroughtQuery): Promise<BroughtBefore> {
  for (const [by, fields] of NEAR) {
    const rows: { price: number }[] = await knex('facts')
      .join('pen_rows', 'pen_rows.pen_id', 'facts.pen_id')
      .where('facts.kind', 'leave')
      .where(Object.fromEntries(fields.map(field => [`pen_rows.${field}`, asked[field]])))
      .whereRaw('facts.body->>\'how\' = \'sold\' and jsonb_typeof(facts.body->\'price\') = \'number\'')
      .orderBy('facts.at', 'desc')
      .limit(LATEST)
      .select(knex.raw('(facts.body->>\'price\')::int as price'))
    const brought = broughtOf(rows.map(row => row.price))
    if (brought) return { by, brought }
  }
  return { by: null, brought: null }
}
