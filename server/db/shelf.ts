import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { betweenMarks } from '../../core/abrasives'
import { abrasivePrice, bottlePrice } from '../../core/money'
import { sheetsLeft } from '../../core/stock'
import {
  grainOf, inTurn, type BaseWait, type Bottle, type Product, type Shelf, type ShelfAbrasive, type WaitPurpose,
} from '../../core/shelf'
import { abrasives, usualAbrasives, usualProducts } from '../../reference'
import type { BottleChange, OwnAbrasive, ShelfChange } from '../../schemas'
import { FieldsError, StoredError } from '../faults'
import { usedSince } from './learnt'
import { bottleLots } from './lots'
import { allProducts } from './own-products'
import { noteCount } from './stock-log'
import { usedSheets } from './used'

interface ItemRow {
  item: string
  worn: number
  count: number | null
  /** How the turner uses it, where that is not as usual. */
  wet: boolean | null
  dry: boolean | null
}

interface BottleRow {
  item: string
  opened: string | null
  closed: boolean
  keeps: number | null
  left_ml: number | null
  left_at: Date | null
  size_ml: number | null
  sealed: number
  price: number | null
  label: Record<string, { plain: number, latest?: number }>
}
type OwnRow = OwnAbrasive & { id: string }

/** Every abrasive that can be on the shelf: those of the known scales, and the turner's own pads between two of them. */
async function allAbrasives(knex: Knex): Promise<ShelfAbrasive[]> {
  const own: OwnRow[] = await knex<OwnRow>('own_abrasives').orderBy('created_at')
  return [...abrasives, ...own.map(asAbrasive)].sort((a, b) => grainOf(b) - grainOf(a))
}

const asAbrasive = ({ id, label, coarser, finer, micron, wet, dry }: OwnRow): ShelfAbrasive => ({
  id,
  wet,
  dry,
  ...(micron ? { scale: 'micron', mark: micron, label } : betweenMarks(label, markOf(coarser), markOf(finer))),
})

/** A known abrasive by its id. @throws StoredError when the reference data do not have it any more */
function markOf(id: string | undefined | null): ShelfAbrasive {
  const found = abrasives.find(row => row.id === id)
  if (!found) throw new StoredError(`No abrasive is called ${id}.`)
  return found
}

/** What is on the shelf, as a plan takes it; what coats took from a bottle comes off what was said to be left in it. */
export async function readShelf(knex: Knex): Promise<Shelf> {
  const rows: ItemRow[] = await knex('shelf_items').where({ gone: false }).select('item', 'worn', 'count', 'wet', 'dry')
  const there = new Map(rows.map(row => [row.item, row]))
  const used = await usedSheets(knex)
  return {
    abrasives: (await allAbrasives(knex)).flatMap((abrasive) => {
      const row = there.get(abrasive.id)
      return row ? [asUsed(abrasive, row, used.get(abrasive.id) ?? 0)] : []
    }),
    products: await withBottles(knex),
  }
}

/**
 * An abrasive as the turner has it: sheets that were counted wear by the log, those that were used up since are gone. What nobody counted
 * is as worn as was said.
 */
function asUsed(abrasive: ShelfAbrasive, { worn, count, wet, dry }: ItemRow, used: number): ShelfAbrasive {
  const left = count === null ? { worn } : sheetsLeft({ count, worn }, used)
  return {
    ...abrasive,
    wet: wet ?? abrasive.wet,
    dry: dry ?? abrasive.dry,
    ...(left.worn ? { worn: left.worn } : {}),
    ...('count' in left ? { count: left.count } : {}),
  }
}

const BOTTLE = ['item', 'closed', 'keeps', 'left_ml', 'left_at', 'size_ml', 'sealed', 'price', 'label']

async function withBottles(knex: Knex): Promise<Product[]> {
  const rows: BottleRow[] = await knex('shelf_items')
    .where({ gone: false })
    .select(...BOTTLE, knex.raw('to_char(opened, \'YYYY-MM-DD\') as opened'))
  const [used, lots] = [await usedOf(knex, rows), await bottleLots(knex, rows)]
  const all = await allProducts(knex)
  const there = all.flatMap((product): Product[] => {
    const row = rows.find(one => one.item === product.id)
    if (!row) return []
    const [bottle, label] = [bottleOf({ ...row, price: lots.get(row.item) ?? row.price }, used.get(row.item) ?? 0), labelOf(row)]
    return [{ ...product, ...(Object.keys(bottle).length ? { bottle } : {}), ...(Object.keys(label).length ? { label } : {}) }]
  })
  return inTurn(there, new Date().toISOString().slice(0, 10))
}

/** What coats took from each bottle since it was said what is left in it, ml. */
async function usedOf(knex: Knex, rows: readonly BottleRow[]): Promise<Map<string, number>> {
  const used = new Map<string, number>()
  for (const { item, left_ml: left, left_at: since } of rows)
    if (left !== null && since) used.set(item, await usedSince(knex, item, since))
  return used
}

function bottleOf(row: BottleRow, used: number): Bottle {
  return {
    ...(row.closed ? { opened: null } : row.opened ? { opened: row.opened } : {}),
    ...(row.keeps === null ? {} : { keeps: row.keeps }),
    ...(row.left_ml === null ? {} : { left: Math.max(0, row.left_ml - used) }),
    ...(row.size_ml === null ? {} : { size: row.size_ml }),
    ...(row.sealed ? { sealed: row.sealed } : {}),
    ...(row.price === null ? {} : { price: row.price }),
  }
}

const labelOf = ({ label }: BottleRow): Partial<Record<WaitPurpose, BaseWait>> =>
  Object.fromEntries(
    Object.entries(label).map(([purpose, wait]) => [
      purpose,
      { ...wait, source: { mark: 'pub', note: 'the product’s own label, as you entered it' } },
    ]),
  )

/**
 * Keeps what is said of a bottle; what is not said stays. An amount that is said anew counts from now on. @throws FieldsError when the
 * product is not on the shelf
 */
export async function changeBottle(knex: Knex, { item, left, size, ...said }: BottleChange): Promise<Shelf> {
  const columns = {
    ...Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined)),
    ...(said.label ? { label: JSON.stringify(said.label) } : {}),
    ...(left === undefined ? {} : { left_ml: left, left_at: left === null ? null : new Date() }),
    ...(size === undefined ? {} : { size_ml: size }),
    ...(said.opened && said.closed === undefined ? { closed: false } : said.closed ? { opened: null } : {}),
  }
  if (left !== undefined) {
    const before = (await readShelf(knex)).products.find(one => one.id === item)?.bottle?.left
    await noteCount(knex, bottlePrice(item), before === undefined ? null : Math.round(before * 10) / 10, left)
  }
  // What was bought before at another price is put right by it.
  if (said.price !== undefined) await knex('stock_log').where({ what: bottlePrice(item), how: 'bought' }).update({ each: said.price })
  if (Object.keys(columns).length && !(await knex('shelf_items').where({ item, gone: false }).update(columns)))
    throw new FieldsError({ item: 'Put it on the shelf first.' })
  return readShelf(knex)
}

/**
 * Puts one thing on the shelf, says how it is, or takes it off; saying so twice changes nothing. What is taken off is only marked as
 * gone: put back, it is as it was.
 */
export async function changeShelf(knex: Knex, { item, there, ...how }: ShelfChange): Promise<Shelf> {
  const isSheets = there && (how.count !== undefined || how.worn !== undefined)
  const before = isSheets ? (await readShelf(knex)).abrasives.find(one => one.id === item) : undefined
  // Sheets wear from when something was said of them: what was not said then is as the log has it by now.
  const { count = before?.count, worn = before?.worn } = how
  const said = {
    ...Object.fromEntries(Object.entries(how).filter(([, value]) => value !== undefined)),
    ...(count === undefined ? {} : { count, worn: worn ?? 0, counted_at: knex.fn.now() }),
  }
  if (there && how.count !== undefined) await noteCount(knex, abrasivePrice(item), before?.count ?? null, how.count)
  if (there) await knex('shelf_items').insert({ item, ...said }).onConflict(['workshop_id', 'item']).merge({ ...said, gone: false })
  else await knex('shelf_items').where({ item }).update({ gone: true })
  return readShelf(knex)
}

/** Puts the usual things on the shelf, beside what is there. */
export async function fillShelf(knex: Knex): Promise<Shelf> {
  const usual = [...usualAbrasives, ...usualProducts].map(item => ({ item }))
  await knex('shelf_items').insert(usual).onConflict(['workshop_id', 'item']).merge({ gone: false })
  return readShelf(knex)
}

/**
 * Keeps an abrasive by its grain, or a pad with a colour and no number, and puts it on the shelf. @throws FieldsError when both
 * neighbours are of one grain
 */
export async function createOwnAbrasive(knex: Knex, wanted: OwnAbrasive): Promise<Shelf> {
  try {
    if (!wanted.micron) betweenMarks(wanted.label, markOf(wanted.coarser), markOf(wanted.finer))
  } catch (error) {
    if (error instanceof RangeError) throw new FieldsError({ finer: error.message })
    throw error
  }
  if (!wanted.wet && !wanted.dry) throw new FieldsError({ dry: 'Should be used wet, dry or both.' })
  return knex.transaction(async (trx) => {
    const id = `own-${randomUUID().slice(0, 8)}`
    await trx('own_abrasives').insert({ ...wanted, id })
    await trx('shelf_items').insert({ item: id })
    return readShelf(trx)
  })
}
