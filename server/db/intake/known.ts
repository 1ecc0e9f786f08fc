import type { Knex } from 'knex'
import type { Named } from '../../../core/intake'
import type { IntakeKnown } from '../../../schemas/intake'
import { listBlanks } from '../blanks'
import { listFittings } from '../fittings'
import { listMethods } from '../methods'
import { allProducts } from '../own-products'
import { readWorkshop } from '../workshop'

/** The day begins so much earlier where it begins first, ms. */
const FARTHEST = 14 * 3_600_000

/** What cells of a sheet can name in this workshop, as it is now. */
export async function intakeKnown(knex: Knex): Promise<IntakeKnown> {
  const [fittings, methods, blanks] = [await listFittings(knex), await listMethods(knex), await listBlanks(knex)]
  const places: Named[] = await knex('places').where({ gone: false }).orderBy(['made', 'id']).select('id', 'name')
  const { currency } = await readWorkshop(knex)
  return {
    fittings: fittings.map(({ fitting: { id, name } }) => ({ id, name })),
    methods: methods.map(({ id, name }) => ({ id, name })),
    blanks: blanks.flatMap(({ id, name, board }) => (board ? [] : [{ id, name }])),
    places,
    products: (await allProducts(knex)).map(({ id, name }) => ({ id, name })),
    currency: currency ?? null,
    today: new Date(Date.now() + FARTHEST).toISOString().slice(0, 10),
  }
}
