import { surfaceOf } from '../../barrel'
import { given, worked, type Figure } from '../../figures'
import { applicatorWaste, coatVolume, dropsOf } from '../../film'
import type { CoatProduct } from '../../shelf'
import { buildOf, isKind, type CoatStep, type Plan, type StepId } from '../model'
import type { Sized } from './size'

/** What a plan takes of one product. */
export interface Need {
  /** Which. */
  product: CoatProduct
  /** How many coats of it. */
  coats: number
  /** ml from the bottle. */
  volume: Figure
  /** The same in drops from a fine tip. */
  drops: number
  /** In minor units of money; absent while the price or the size of its bottle is not known. */
  cost?: Figure
}

/** A finish without a film wets the surface this deep and no more, µm [model]. */
const WETS = 10

/** Volume of one coat on these barrels, ml. */
export function volumeOfCoat(plan: Plan, size: Sized, { barrels, product, applicator }: CoatStep): number {
  const surface = size.barrels.filter(one => barrels.includes(one.barrel.id)).reduce((sum, one) => sum + surfaceOf(one.finished), 0)
  return coatVolume(surface, ...wet(plan, product), applicator)
}

/** What one coat of it builds, µm, and which part of the wet coat that is. */
const wet = ({ inputs }: Plan, product: CoatProduct): [build: number, solids: number] =>
  product.film ? [buildOf(inputs, product).value, product.film.solids] : [WETS, 1]
const OUTLINE = { mark: 'model' as const, note: 'from the outlines of the barrels' }

/** What the coats of a plan take from the bottles, product by product. */
export function needsOf(plan: Plan, size: Sized, leftOut: ReadonlySet<StepId>): Need[] {
  const byProduct = new Map<string, CoatStep[]>()
  for (const coat of plan.steps.filter(isKind('coat'))) {
    if (!leftOut.has(coat.id)) byProduct.set(coat.product.id, [...(byProduct.get(coat.product.id) ?? []), coat])
  }
  return [...byProduct.values()].flatMap(coats => needOf(plan, size, coats) ?? [])
}

function needOf(plan: Plan, size: Sized, coats: readonly CoatStep[]): Need | undefined {
  const [first] = coats
  if (!first) return undefined
  const { product, applicator } = first
  const ml = coats.reduce((sum, coat) => sum + volumeOfCoat(plan, size, coat), 0)
  const model = { mark: 'model' as const, note: 'starting value' }
  const waste = given(`leaves the bottle for what stays, ${applicator}`, applicatorWaste[applicator], '×', model)
  const surface = given('surface of all coats together', ml / coatVolume(1, ...wet(plan, product), applicator), 'mm²', OUTLINE)
  const [build, solids] = wet(plan, product)
  const dry = product.film ? buildOf(plan.inputs, product) : given('wets the surface', build, 'µm', model)
  const volume = worked(`${product.name} used`, ml, 'ml', 'surface × build / solids × what leaves the bottle for it', [
    surface, dry, given('part of the wet coat that stays', solids, '×', product.film?.source ?? model), waste,
  ])
  const cost = costOf(product, volume)
  return { product, coats: coats.length, volume, drops: dropsOf(ml), ...(cost ? { cost } : {}) }
}

function costOf({ name, bottle }: CoatProduct, volume: Figure): Figure | undefined {
  if (bottle?.price === undefined || !bottle.size) return undefined
  const [size, price] = [given('bottle', bottle.size, 'ml'), given('price', bottle.price, 'money')]
  const value = (volume.value * price.value) / size.value
  return worked(`${name}, cost`, value, 'money', 'volume × price of the bottle / its size', [volume, size, price])
}

/** A bottle that does not hold what is needed. */
export interface Shortage {
  /** Of what. */
  product: CoatProduct
  /** How much is missing, ml. */
  short: number
  /** Further bottles, still sealed. */
  sealed: number
}

/** The needs that the open bottles do not meet; nothing where it is not known what is left. */
export const shortages = (needs: readonly Need[]): Shortage[] =>
  needs.flatMap(({ product, volume }): Shortage[] => {
    const { left, sealed = 0 } = product.bottle ?? {}
    return left !== undefined && left < volume.value ? [{ product, short: volume.value - left, sealed }] : []
  })
