import type { Knex } from 'knex'
import type { EveningSum } from '../../contract'

/** What was done on all pens between two moments (ISO 8601), and what went to somebody. */
export async function eveningDone(knex: Knex, from: string, to: string): Promise<EveningSum> {
  const facts = (kind: string) => knex('facts').where({ kind }).where('at', '>=', from).where('at', '<', to)
  const sum = (field: string) => knex.raw(`coalesce(sum((body->>'${field}')::float8), 0)::float8`)
  const [steps] = await facts('step').select(
    knex.raw('count(*)::int as steps'), knex.raw('count(distinct pen_id)::int as pens'),
    knex.raw('(count(*) filter (where about = \'coat\'))::int as coats'), knex.raw('? as seconds', [sum('seconds')]),
  ) as [Pick<EveningSum, 'steps' | 'pens' | 'coats' | 'seconds'>]
  const bottles: EveningSum['bottles'] = await facts('use').groupBy('about').orderBy('about')
    .select('about as id', knex.raw('? as ml', [sum('ml')]))
  const sheets: EveningSum['sheets'] = await facts('sheet').groupBy('about').orderBy('about')
    .havingRaw('sum((body->>\'uses\')::float8) > 0').select('about as id', knex.raw('? as pieces', [sum('uses')]))
  const [gone] = await facts('leave').whereRaw('body->>\'how\' = \'sold\'')
    .select(knex.raw('count(*)::int as sold'), knex.raw('? as taken', [sum('price')])) as [Pick<EveningSum, 'sold' | 'taken'>]
  return { ...steps, bottles, sheets, ...gone }
}
