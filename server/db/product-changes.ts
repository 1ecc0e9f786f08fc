import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { bottlePrice } from '../../core/money'
import type { Shelf } from '../../core/shelf'
import type { OwnProduct } from '../../schemas'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { allProducts, listOwnProducts } from './own-products'
import { readShelf } from './shelf'
import { noteThrown } from './stock-log'

/** Keeps a product of the turner’s own and puts it on the shelf. What the label of the one it is like says counts for it too. */
export async function createOwnProduct(knex: Knex, wanted: OwnProduct): Promise<Shelf> {
  return knex.transaction(async (trx) => {
    await refuseTwice(trx, wanted.name)
    const id = `own-${randomUUID().slice(0, 8)}`
    await trx('own_products').insert({ ...wanted, id })
    const like: { label: unknown } | undefined = await trx('shelf_items').where({ item: wanted.alike }).first('label')
    await trx('shelf_items').insert({ item: id, ...(like ? { label: JSON.stringify(like.label) } : {}) })
    return readShelf(trx)
  })
}

/** Changes a product of the turner’s own; plans made before keep it as it was. @throws NotFoundError, ConflictError with the newer one */
export async function changeOwnProduct(knex: Knex, id: string, { version, ...wanted }: OwnProduct & { version: number }): Promise<Shelf> {
  return knex.transaction(async (trx) => {
    await refuseTwice(trx, wanted.name, id)
    const changed = await trx('own_products').where({ id, version }).update({ ...wanted, version: version + 1 })
    const now = (await listOwnProducts(trx)).find(one => one.id === id)
    if (!now) throw new NotFoundError('There is no such product.')
    if (!changed) throw new ConflictError('This product was changed on another device. Look at it as it is now, then change it again.', now)
    return readShelf(trx)
  })
}

/** Two of one name could not be told apart. */
async function refuseTwice(trx: Knex, name: string, but?: string): Promise<void> {
  const same = (await allProducts(trx)).find(one => one.name.toLowerCase() === name.toLowerCase() && one.id !== but)
  if (same) throw new FieldsError({ name: 'Another product is called so already.' })
}

/**
 * Throws the bottle in use away: the next sealed one is in its place, or the product is off the shelf. What was in it is noted.
 * @throws FieldsError when it is not on the shelf
 */
export async function throwAway(knex: Knex, item: string): Promise<Shelf> {
  return knex.transaction(async (trx) => {
    const row: { sealed: number, size_ml: number | null } | undefined
      = await trx('shelf_items').where({ item, gone: false }).forUpdate().first('sealed', 'size_ml')
    if (!row) throw new FieldsError({ item: 'It is not on the shelf.' })
    const left = (await readShelf(trx)).products.find(one => one.id === item)?.bottle?.left
    await noteThrown(trx, bottlePrice(item), left === undefined ? null : Math.round(left * 10) / 10)
    const next = row.sealed
      ? { sealed: row.sealed - 1, closed: true, opened: null, left_ml: row.size_ml, left_at: row.size_ml === null ? null : trx.fn.now() }
      : { gone: true, opened: null, closed: false, left_ml: null, left_at: null }
    await trx('shelf_items').where({ item }).update(next)
    return readShelf(trx)
  })
}
