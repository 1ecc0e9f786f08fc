import type { Knex } from 'knex'
import type { Prices } from '../../core/money'
import type { PriceChange } from '../../schemas'

/** What the workshop pays, by what it is for. */
export async function readPrices(knex: Knex): Promise<Prices> {
  const rows: { what: string, minor: number }[] = await knex('prices').orderBy('what').select('what', 'minor')
  return Object.fromEntries(rows.map(({ what, minor }) => [what, minor]))
}

/** Sets a price, or takes it away; saying so twice changes nothing. */
export async function changePrice(knex: Knex, { what, minor }: PriceChange): Promise<Prices> {
  if (minor === null) await knex('prices').where({ what }).delete()
  else await knex('prices').insert({ what, minor }).onConflict(['workshop_id', 'what']).merge()
  return readPrices(knex)
}
