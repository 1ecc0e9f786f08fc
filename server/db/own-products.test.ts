import { randomUUID } from 'node:crypto'
import type { OwnProduct } from '../../schemas'
import { onDatabase } from '../../tests/database/suite'
import { productFor } from '../../core/shelf'
import { cautionsFor } from '../../reference'
import { ConflictError, FieldsError, NotFoundError } from '../faults'
import { createBlank } from './blanks'
import { usualBuilds } from './learnt'
import { allProducts, listOwnProducts } from './own-products'
import { createPen } from './pens'
import { readPlan } from './plans'
import { changeOwnProduct, createOwnProduct, throwAway } from './product-changes'
import { changeBottle, changeShelf, createOwnAbrasive, readShelf } from './shelf'
import { latestMoves } from './stock-log'
import { bookIn } from './supplies'

const database = onDatabase()
const own = (change: Partial<OwnProduct> = {}): OwnProduct => ({
  name: 'Slow medium CA', alike: 'medium-ca', build: 32, keeps: 60, caution: 'Stings more than others.', source: 'label of 2026', ...change,
})
const add = async (change: Partial<OwnProduct> = {}) => {
  await createOwnProduct(database.knex(), own(change))
  return (await listOwnProducts(database.knex())).at(-1)!
}
const penOf = (mark: string, change: object = {}) => createPen(database.knex(), {
  mark, name: 'Apple', reason: null, due: null, fitting: 'click-8', material: 'apple', method: 'ca-medium-only', tool: 'skew',
  film: 'gloss', ...change,
})

it('a product of one’s own is like a known one but for what its label says', async () => {
  const knex = database.knex()
  await changeBottle(knex, { item: 'medium-ca', label: { level: { plain: 7200 } } })
  const { id } = await add()
  const shelf = await readShelf(knex)
  const of = (wanted: string) => shelf.products.find(one => one.id === wanted)!
  const [like, mine] = [of('medium-ca'), of(id)]
  expect(mine).toMatchObject({
    name: 'Slow medium CA', role: 'medium CA', waits: like.waits, film: { ...like.film, build: 32, source: { mark: 'pub' } },
    keeps: { days: 60 }, caution: 'Stings more than others.', label: { level: { plain: 7200 } },
  })
  expect(mine.source.note).toContain('label of 2026')
  expect(await usualBuilds(knex)).toMatchObject({ [id]: 32, 'medium-ca': like.film!.build })
  await expect(createOwnProduct(knex, own({ name: 'slow MEDIUM CA' }))).rejects.toThrow(FieldsError)
  await expect(createOwnProduct(knex, own({ name: 'Medium CA' }))).rejects.toThrow(FieldsError)
})
it('of two bottles of one role the open one that keeps for the shortest time is used, and its caution stands at its coats', async () => {
  const knex = database.knex()
  const { id } = await add()
  const used = async () => productFor({ shelf: await readShelf(knex) }, 'medium CA')?.id
  expect(await used()).toBe('medium-ca')
  const day = (ago: number) => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10)
  await changeBottle(knex, { item: 'medium-ca', opened: day(10) })
  await changeBottle(knex, { item: id, opened: day(10) })
  expect(await used()).toBe(id)
  const pen = await penOf('A1')
  const plan = await readPlan(knex, pen)
  const coat = plan.steps.find(step => step.kind === 'coat')!
  expect(coat.kind === 'coat' && [coat.product.id, cautionsFor(coat)[0]!.short]).toEqual([id, expect.stringMatching(/Yours: Stings more/)])
  // Past its day it comes last; so does what is empty.
  await changeBottle(knex, { item: id, opened: day(61) })
  expect(await used()).toBe('medium-ca')
  await changeBottle(knex, { item: 'medium-ca', left: 0 })
  expect(await used()).toBe(id)
})
it('it is changed by whoever has seen it as it is; plans made before keep it as it was', async () => {
  const knex = database.knex()
  const kept = await add()
  await changeShelf(knex, { item: 'medium-ca', there: false })
  const pen = await penOf('A1')
  await changeOwnProduct(knex, kept.id, { ...own({ build: 40 }), version: 1 })
  await expect(changeOwnProduct(knex, kept.id, { ...own(), version: 1 })).rejects.toThrow(ConflictError)
  await expect(changeOwnProduct(knex, 'own-none', { ...own({ name: 'x' }), version: 1 })).rejects.toThrow(NotFoundError)
  expect((await allProducts(knex)).find(one => one.id === kept.id)!.film!.build).toBe(40)
  expect((await readPlan(knex, pen)).inputs.shelf.products.find(one => one.id === kept.id)!.film!.build).toBe(32)
})
it('thrown away, the next sealed bottle is in its place, and without one it is off the shelf; what was in it is noted', async () => {
  const knex = database.knex()
  const bottle = async () => (await readShelf(knex)).products.find(one => one.id === 'thin-ca')?.bottle
  await changeBottle(knex, { item: 'thin-ca', opened: '2026-01-01', left: 4, size: 20, sealed: 1 })
  await throwAway(knex, 'thin-ca')
  expect(await bottle()).toEqual({ opened: null, left: 20, size: 20 })
  await throwAway(knex, 'thin-ca')
  expect((await readShelf(knex)).products.some(one => one.id === 'thin-ca')).toBe(false)
  const thrown = (await latestMoves(knex)).filter(one => one.how === 'thrown away').map(one => [one.what, one.was, one.now])
  expect(thrown).toEqual([['bottle:thin-ca', 20, 0], ['bottle:thin-ca', 4, 0]])
  await expect(throwAway(knex, 'thin-ca')).rejects.toThrow(FieldsError)
})
it('a bottle costs what its lot did: the one in use is the oldest, and a price that is said stands for all', async () => {
  const knex = database.knex()
  const price = async () => (await readShelf(knex)).products.find(one => one.id === 'thin-ca')?.bottle?.price
  await bookIn(knex, { id: randomUUID(), what: 'bottle:thin-ca', pieces: 2, each: 700 })
  await bookIn(knex, { id: randomUUID(), what: 'bottle:thin-ca', pieces: 1, each: 900 })
  expect(await price()).toBe(700)
  // Two of three were used up: the one that is left is of the later lot.
  await changeBottle(knex, { item: 'thin-ca', sealed: 0 })
  expect(await price()).toBe(900)
  await changeBottle(knex, { item: 'thin-ca', price: 850 })
  expect(await price()).toBe(850)
})
it('an abrasive by its grain stands among the others and is taken into ladders', async () => {
  const knex = database.knex()
  const { abrasives } = await createOwnAbrasive(knex, { label: 'grey film', micron: 45, wet: false, dry: true })
  const mine = abrasives.find(one => one.label === 'grey film')!
  expect(mine).toMatchObject({ scale: 'micron', mark: 45 })
  const pen = await penOf('A1')
  expect((await readPlan(knex, pen)).inputs.shelf.abrasives).toContainEqual(mine)
})
it('what is known of a wood stands above the tables, with its source, and its caution wherever its dust is made', async () => {
  const knex = database.knex()
  const blank = await createBlank(knex, {
    name: 'Laburnum', material: null, species: 'Laburnum', classes: ['close-grained'], origin: null, width: 20, height: 20, length: 150,
    count: 2, damp: false, photo: null, hardness: 7800, density: 820, caution: 'Every part of the tree is poisonous.',
    source: 'a forester’s table',
  })
  const { inputs: { material }, steps } = await readPlan(knex, await penOf('A1', { material: 'unknown', blank: blank.id }))
  expect(material).toMatchObject({
    name: 'Laburnum', hardness: { value: 7800, source: { mark: 'pub', note: 'as you entered it: a forester’s table' } },
    density: { value: 820 },
  })
  const warned = steps.filter(step => cautionsFor(step, material)[0]?.short.includes('poisonous')).map(step => step.kind)
  expect([...new Set(warned)]).toEqual(expect.arrayContaining(['cut', 'drill', 'turn', 'sand']))
  expect(warned).not.toContain('coat')
})
