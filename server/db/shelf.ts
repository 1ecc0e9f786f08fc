import type { Knex } from 'knex'
import type { Shelf } from '../../core/plan'
import { abrasives, products, usualAbrasives } from '../../reference'
import type { ShelfChange } from '../../schemas'

/** What is on the shelf, as a plan takes it. */
export async function readShelf(knex: Knex): Promise<Shelf> {
  const there = new Set<string>(await knex('shelf_items').pluck('item'))
  return { abrasives: abrasives.filter(row => there.has(row.id)), products: products.filter(row => there.has(row.id)) }
}

/** Puts one thing on the shelf or takes it off; saying so twice changes nothing. */
export async function changeShelf(knex: Knex, { item, there }: ShelfChange): Promise<Shelf> {
  if (there) await knex('shelf_items').insert({ item }).onConflict('item').ignore()
  else await knex('shelf_items').where({ item }).delete()
  return readShelf(knex)
}

/** Puts the usual things on the shelf, beside what is there. */
export async function fillShelf(knex: Knex): Promise<Shelf> {
  const usual = [...usualAbrasives, ...products.map(row => row.id)]
  await knex('shelf_items').insert(usual.map(item => ({ item }))).onConflict('item').ignore()
  return readShelf(knex)
}
