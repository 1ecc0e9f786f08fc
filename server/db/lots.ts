import type { Knex } from 'knex'
import { bottlePrice, materialPrice } from '../../core/money'
import { priceOfNext, sheetsLeft, type Lot } from '../../core/stock'
import { leftOf, usedBoards, usedPenBlanks, usedSets, usedSheets, usedSticks, type Used } from './used'

/** What of each kind of thing is left, by id: counts less what was used. */
const LEFT: Readonly<Record<string, (knex: Knex, ids: readonly string[]) => Promise<ReadonlyMap<string, number>>>> = {
  fitting: async (knex, ids) => left(await knex('fittings').whereIn('id', ids).select('id', 'sets as count'), await usedSets(knex, ids)),
  async blank(knex, ids) {
    const rows: { id: string, count: number, board: boolean }[] = await knex('blanks').whereIn('id', ids).select('id', 'count', 'board')
    const [sticks, boards] = [await usedSticks(knex, ids), await usedBoards(knex, ids)]
    return left(rows, new Map(rows.map(({ id, board }) => [id, (board ? boards : sticks).get(id) ?? 0])))
  },
  async abrasive(knex, ids) {
    const rows: { id: string, count: number, worn: number }[]
      = await knex('shelf_items').whereIn('item', ids).whereNotNull('count').select('item as id', 'count', 'worn')
    const used = await usedSheets(knex)
    return new Map(rows.map(({ id, ...counted }) => [id, sheetsLeft(counted, used.get(id) ?? 0).count]))
  },
  material: penBlanksLeft,
}

/** What is left of pen blanks, bought one for a pen, that were booked in: of those materials, or of all. Others are not counted. */
export async function penBlanksLeft(knex: Knex, materials?: readonly string[]): Promise<Map<string, number>> {
  const asked = knex('stock_log').where({ how: 'bought' }).groupBy('what')
  if (materials) void asked.whereIn('what', materials.map(materialPrice))
  else void asked.whereRaw('what like ?', [materialPrice('%')])
  const rows: { what: string, count: string }[] = await asked.select('what', knex.raw('sum(pieces) as count'))
  const bought = rows.map(({ what, count }) => ({ id: what.slice(materialPrice('').length), count: Number(count) }))
  return left(bought, await usedPenBlanks(knex, bought.map(one => one.id)))
}

const left = (rows: readonly { id: string, count: number }[], used: Used): Map<string, number> =>
  new Map(rows.map(({ id, count }) => [id, leftOf(count, used, id)]))

/**
 * What the next piece costs of each thing that was bought in lots, the oldest first: those that are left are the newest ones. By the name
 * of its price, in minor units.
 */
export async function lotPrices(knex: Knex): Promise<Record<string, number>> {
  const lots = await lotsOf(knex)
  const prices: Record<string, number> = {}
  for (const [kind, leftBy] of Object.entries(LEFT)) {
    const ids = [...lots.keys()].flatMap(what => (what.startsWith(`${kind}:`) ? [what.slice(kind.length + 1)] : []))
    const there = ids.length ? await leftBy(knex, ids) : new Map<string, number>()
    for (const id of ids) {
      const price = nextOf(lots.get(`${kind}:${id}`) ?? [], there.get(id) ?? 0)
      if (price !== null) prices[`${kind}:${id}`] = price
    }
  }
  return prices
}

/** What was bought of each thing, in the order in which it was; of some things only, where they are named. */
async function lotsOf(knex: Knex, of?: readonly string[]): Promise<Map<string, Lot[]>> {
  const asked = knex('stock_log').where({ how: 'bought' }).orderBy(['what', 'at', 'id']).select('what', 'pieces as count', 'each')
  if (of) void asked.whereIn('what', of)
  const rows: { what: string, count: number, each: number | null }[] = await asked
  const lots = new Map<string, Lot[]>()
  for (const { what, ...lot } of rows) lots.set(what, [...(lots.get(what) ?? []), lot])
  return lots
}

/** What the next piece costs where so many are left. */
const nextOf = (own: readonly Lot[], there: number): number | null =>
  priceOfNext(own, Math.max(0, own.reduce((sum, lot) => sum + lot.count, 0) - there), 1)

/** What the bottle in use cost of each product that was bought in lots: the sealed ones beside it are the newer ones. */
export async function bottleLots(knex: Knex, rows: readonly { item: string, sealed: number }[]): Promise<Map<string, number>> {
  const lots = await lotsOf(knex, rows.map(row => bottlePrice(row.item)))
  return new Map(rows.flatMap(({ item, sealed }) => {
    const price = nextOf(lots.get(bottlePrice(item)) ?? [], sealed + 1)
    return price === null ? [] : [[item, price] as const]
  }))
}
