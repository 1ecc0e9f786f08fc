import type { Knex } from 'knex'
import type { Supplies } from '../../contract'
import { FieldsError } from '../faults'
import { abrasives, materials } from '../../reference'
import type { Bought, SupplyChange } from '../../schemas'
import { readBlank } from './blanks'
import { readFitting } from './fittings'
import { penBlanksLeft } from './lots'
import { allProducts } from './own-products'
import { readShelf } from './shelf'
import { latestMoves } from './stock-log'

/** Where things are bought, and what was bought and counted lately. */
export async function readSupplies(knex: Knex): Promise<Supplies> {
  const [supplies, moves] = [await knex('supplies').orderBy('what').select('what', 'source', 'pack'), await latestMoves(knex)]
  return { supplies, moves, penBlanks: Object.fromEntries(await penBlanksLeft(knex)) }
}

/** Says where something is bought and in what packs. */
export async function changeSupply(knex: Knex, wanted: SupplyChange): Promise<Supplies> {
  await knex('supplies').insert(wanted).onConflict(['workshop_id', 'what']).merge()
  return readSupplies(knex)
}

/** What there was before and is now, in its own measure. */
interface Moved { was: number | null, now: number | null }

/** How each kind of thing comes onto the shelf; undefined where there is no such thing. */
const ONTO: Readonly<Record<string, (knex: Knex, id: string, bought: Bought) => Promise<Moved | undefined>>> = {
  async fitting(knex, id, { pieces }) {
    const before = await readFitting(knex, id)
    if (!before) return undefined
    const now = before.sets + pieces
    await knex('fittings').where({ id }).update({ sets: now, counted_at: knex.fn.now(), version: before.version + 1, gone: false })
    return { was: before.sets, now }
  },
  async blank(knex, id, { pieces }) {
    const before = await readBlank(knex, id)
    if (!before) return undefined
    const now = before.count + pieces
    await knex('blanks').where({ id }).update({ count: now, counted_at: knex.fn.now(), version: before.version + 1, gone: false })
    return { was: before.count, now }
  },
  async abrasive(knex, id, { pieces }) {
    const own = await knex('own_abrasives').where({ id }).first('id')
    if (!own && !abrasives.some(one => one.id === id)) return undefined
    const { count: was = null, worn = 0 } = (await readShelf(knex)).abrasives.find(one => one.id === id) ?? {}
    const now = (was ?? 0) + pieces
    const row = { item: id, count: now, worn, counted_at: knex.fn.now(), gone: false }
    await knex('shelf_items').insert(row).onConflict(['workshop_id', 'item']).merge()
    return { was, now }
  },
  async bottle(knex, id, { pieces, each }) {
    if (!(await allProducts(knex)).some(one => one.id === id)) return undefined
    const row: { sealed: number } | undefined = await knex('shelf_items').where({ item: id, gone: false }).first('sealed')
    const [was, now] = [row?.sealed ?? 0, (row?.sealed ?? 0) + pieces]
    await knex('shelf_items').insert({ item: id, sealed: now, gone: false, ...(each === null ? {} : { price: each }) })
      .onConflict(['workshop_id', 'item']).merge()
    return { was, now }
  },
  // Pen blanks that are bought one for a pen are as many as were booked in and not cut since; nobody counts them.
  async material(knex, id, { pieces }) {
    if (!materials.some(one => one.id === id)) return undefined
    const was = (await penBlanksLeft(knex, [id])).get(id) ?? null
    return { was, now: (was ?? 0) + pieces }
  },
}

/**
 * Books in what was bought: it is on the shelf, and its price is what it cost. The same id again changes nothing.
 * @throws FieldsError when there is no such thing
 */
export async function bookIn(knex: Knex, bought: Bought): Promise<Supplies> {
  const { id, what, pieces, each } = bought
  // Two who book the same in wait for one another.
  await knex('workshop').forUpdate().first('version')
  if (await knex('stock_log').where({ id }).first('id')) return readSupplies(knex)
  const [kind = '', thing = ''] = what.split(':')
  const moved = Object.hasOwn(ONTO, kind) ? await ONTO[kind]?.(knex, thing, bought) : undefined
  if (!moved) throw new FieldsError({ what: 'There is no such thing here: put it on the shelf first.' })
  await knex('stock_log').insert({ id, what, how: 'bought', pieces, each, ...moved })
  return readSupplies(knex)
}
