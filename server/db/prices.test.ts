import { onDatabase } from '../../tests/database/suite'
import { changePrice, readPrices } from './prices'

const database = onDatabase()

it('a price is set, set anew, and taken away; saying so twice changes nothing; other workshops have their own', async () => {
  const knex = database.knex()
  expect(await readPrices(knex)).toEqual({})
  await changePrice(knex, { what: 'hour', minor: 1800 })
  await changePrice(knex, { what: 'fitting:click-8', minor: 649 })
  expect(await changePrice(knex, { what: 'hour', minor: 2000 })).toEqual({ 'hour': 2000, 'fitting:click-8': 649 })
  await changePrice(knex, { what: 'hour', minor: null })
  expect(await changePrice(knex, { what: 'hour', minor: null })).toEqual({ 'fitting:click-8': 649 })
  // Screens that show it hear of it.
  expect(await knex('changes').where({ kind: 'shelf' }).first('kind')).toEqual({ kind: 'shelf' })
})
