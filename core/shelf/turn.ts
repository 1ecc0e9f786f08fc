import { keepsUntil, type Product } from './product'

/** Which of two bottles of one role is used first; the lower. */
function rankOf(product: Product, today: string): readonly [number, string] {
  const { bottle } = product
  const until = keepsUntil(product)
  // Empty, or past its day, comes last; sealed after what is open; of open ones the one that keeps for the shortest time first.
  if (bottle?.left === 0 && !bottle.sealed) return [4, '']
  if (until !== undefined && until < today) return [3, until]
  if (bottle?.opened === null) return [2, '']
  return until === undefined ? [1, ''] : [0, until]
}

/**
 * Products in the order in which those of one role are used, on a day (`2026-12-24`): what is open before what is sealed, of open bottles
 * the one that keeps for the shortest time, what is past its day or empty last; else as they stand. Roles stay where the first of each is.
 */
export function inTurn(products: readonly Product[], today: string): Product[] {
  const roles = [...new Set(products.map(one => one.role))]
  return roles.flatMap(role => products
    .filter(one => one.role === role)
    .map((one, place) => ({ one, place, rank: rankOf(one, today) }))
    .sort((a, b) => a.rank[0] - b.rank[0] || (a.rank[1] < b.rank[1] ? -1 : a.rank[1] > b.rank[1] ? 1 : a.place - b.place))
    .map(({ one }) => one))
}
