import { randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { betweenMarks, grainSize } from '../../core/abrasives'
import type { Shelf, ShelfAbrasive } from '../../core/plan'
import { abrasives, products, usualAbrasives } from '../../reference'
import type { OwnAbrasive, ShelfChange } from '../../schemas'
import { FieldsError } from '../http/errors'

interface ItemRow {
  item: string
  worn: number
  count: number | null
  /** How the turner uses it, where that is not as usual. */
  wet: boolean | null
  dry: boolean | null
}
type OwnRow = OwnAbrasive & { id: string }

/** Every abrasive that can be on the shelf: those of the known scales, and the turner's own pads between two of them. */
async function allAbrasives(knex: Knex): Promise<ShelfAbrasive[]> {
  const own: OwnRow[] = await knex<OwnRow>('own_abrasives').orderBy('created_at')
  return [...abrasives, ...own.map(asAbrasive)].sort((a, b) => grainSize(b.scale, b.mark) - grainSize(a.scale, a.mark))
}

const asAbrasive = ({ id, label, coarser, finer, wet, dry }: OwnRow): ShelfAbrasive => ({ id, wet, dry, ...betweenMarks(label, markOf(coarser), markOf(finer)) })
const markOf = (id: string) => abrasives.find(row => row.id === id)!

/** What is on the shelf, as a plan takes it. */
export async function readShelf(knex: Knex): Promise<Shelf> {
  const rows: ItemRow[] = await knex<ItemRow>('shelf_items').select('item', 'worn', 'count', 'wet', 'dry')
  const there = new Map(rows.map(row => [row.item, row]))
  const onShelf = (await allAbrasives(knex)).filter(row => there.has(row.id))
  return {
    abrasives: onShelf.map((row) => {
      const { worn, count, wet, dry } = there.get(row.id)!
      return { ...row, wet: wet ?? row.wet, dry: dry ?? row.dry, ...(worn ? { worn } : {}), ...(count === null ? {} : { count }) }
    }),
    products: products.filter(row => there.has(row.id)),
  }
}

/** Puts one thing on the shelf, says how it is, or takes it off; saying so twice changes nothing. */
export async function changeShelf(knex: Knex, { item, there, ...how }: ShelfChange): Promise<Shelf> {
  const said = Object.fromEntries(Object.entries(how).filter(([, value]) => value !== undefined))
  if (!there) await knex('shelf_items').where({ item }).delete()
  else if (Object.keys(said).length) await knex('shelf_items').insert({ item, ...said }).onConflict('item').merge(said)
  else await knex('shelf_items').insert({ item }).onConflict('item').ignore()
  return readShelf(knex)
}

/** Puts the usual things on the shelf, beside what is there. */
export async function fillShelf(knex: Knex): Promise<Shelf> {
  const usual = [...usualAbrasives, ...products.map(row => row.id)]
  await knex('shelf_items').insert(usual.map(item => ({ item }))).onConflict('item').ignore()
  return readShelf(knex)
}

/** Keeps a pad with a colour and no number, and puts it on the shelf. @throws FieldsError when both neighbours are of one grain */
export async function createOwnAbrasive(knex: Knex, wanted: OwnAbrasive): Promise<Shelf> {
  try {
    betweenMarks(wanted.label, markOf(wanted.coarser), markOf(wanted.finer))
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
