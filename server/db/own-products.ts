import type { Knex } from 'knex'
import type { OwnProductKept } from '../../contract'
import type { Product } from '../../core/shelf'
import { products } from '../../reference'

const COLUMNS = ['id', 'version', 'name', 'alike', 'build', 'keeps', 'caution', 'source'] as const

/** The turner’s own products, in the order they were entered. */
export const listOwnProducts = (knex: Knex): Promise<OwnProductKept[]> =>
  knex('own_products').orderBy(['created_at', 'id']).select(...COLUMNS)

/** Every product that can be on the shelf: those that are known, and the turner’s own after the one each is like. */
export async function allProducts(knex: Knex): Promise<Product[]> {
  const own = await listOwnProducts(knex)
  return products.flatMap(product => [product, ...own.filter(one => one.alike === product.id).map(one => asProduct(one, product))])
}

function asProduct({ id, name, alike, build, keeps, caution, source }: OwnProductKept, like: Product): Product {
  const from = { mark: 'pub' as const, note: source ? `its own label, as you entered it: ${source}` : 'its own label, as you entered it' }
  return {
    ...like, id, name, alike, source: from,
    ...(like.film && build !== null ? { film: { ...like.film, build, source: from } } : {}),
    ...(keeps === null ? {} : { keeps: { days: keeps, source: from } }),
    ...(caution ? { caution } : {}),
  }
}
