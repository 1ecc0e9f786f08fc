import type { Knex } from 'knex'
import type { Prices } from '../../core/money'
import type { PriceChange } from '../../schemas'
import { lotPrices } from './lots'

/** What the workshop pays, by what it is for. */
export async function readPrices(knex: Knex): Promise<Prices> {
  const rows: { what: string, minor: number }[] = await knex('prices').orderBy('what').select('what', 'minor')
  // Of what was bought in lots the next piece costs what its lot did.
  return { ...Object.fromEntries(rows.map(({ what, minor }) => [what, minor])), ...await lotPrices(knex) }
}

/** Sets a price, or takes it away; saying so twice changes nothing. What was bought before at another price is put right by it. */
export async function changePrice(knex: Knex, { what, minor }: PriceChange): Promise<Prices> {
  if (minor === null) await knex('prices').where({ what }).delete()
  else await knex('prices').insert({ what, minor }).onConflict(['workshop_id', 'what']).merge()
  await knex('stock_log').where({ what, how: 'bought' }).update({ each: minor })
  return readPrices(knex)
}
