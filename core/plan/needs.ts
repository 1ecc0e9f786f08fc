import { surfaceOf } from '../barrel'
import { given, worked, type Figure } from '../figures'
import { applicatorWaste, coatVolume, dropsOf } from '../film'
import type { Product } from './inputs'
import { buildOf } from './methods/products'
import type { Plan, StepOf } from './plan'
import type { Sized } from './size'

/** What a plan takes of one product. */
export interface Need {
  product: Product
  coats: number
  /** ml from the bottle. */
  volume: Figure
  drops: number
  /** In minor units of money; absent while the price or the size of its bottle is not known. */
  cost?: Figure
}

/** A finish without a film wets the surface this deep and no more, µm [model]. */
const WETS = 10

/** Volume of one coat on these barrels, ml. */
export function volumeOfCoat(plan: Plan, size: Sized, coat: StepOf<'coat'>): number {
  const surface = size.barrels.filter(one => coat.barrels.includes(one.barrel.id)).reduce((sum, one) => sum + surfaceOf(one.finished), 0)
  return coatVolume(surface, coat.product.film ? buildOf(plan.inputs, coat.product).value : WETS, coat.product.film?.solids ?? 1, coat.applicator)
}

/** What the coats of a plan take from the bottles, product by product. */
export function needsOf(plan: Plan, size: Sized, leftOut: ReadonlySet<string>): Need[] {
  const byProduct = new Map<string, StepOf<'coat'>[]>()
  for (const step of plan.steps) if (step.kind === 'coat' && !leftOut.has(step.id)) byProduct.set(step.product.id, [...byProduct.get(step.product.id) ?? [], step])
  return [...byProduct.values()].map((coats): Need => {
    const { product, applicator } = coats[0]!
    const ml = coats.reduce((sum, coat) => sum + volumeOfCoat(plan, size, coat), 0)
    const waste = given(`leaves the bottle for what stays, ${applicator}`, applicatorWaste[applicator], '×', { mark: 'model', note: 'starting value' })
    const volume = worked(`${product.name} used`, ml, 'ml', 'surface × wet thickness × waste', [given('coats', coats.length, 'coats'), buildOf(plan.inputs, product), waste])
    const { price, size: bottle } = product.bottle ?? {}
    const cost = price !== undefined && bottle ? { cost: worked(`${product.name}, cost`, ml * price / bottle, 'money', 'volume × price of the bottle / its size', [volume, given('bottle', bottle, 'ml'), given('price', price, 'money')]) } : {}
    return { product, coats: coats.length, volume, drops: dropsOf(ml), ...cost }
  })
}

/** Whether a bottle holds what is needed: how much it is short of, and what to do. */
export interface Shortage {
  product: Product
  /** ml. */
  short: number
  sealed: number
}

/** The needs that the open bottles do not meet; nothing where it is not known what is left. */
export const shortages = (needs: readonly Need[]): Shortage[] => needs.flatMap(({ product, volume }): Shortage[] => {
  const { left, sealed = 0 } = product.bottle ?? {}
  return left !== undefined && left < volume.value ? [{ product, short: volume.value - left, sealed }] : []
})

const DAY_MS = 86_400_000

/** The day (YYYY-MM-DD) until which an opened bottle keeps: the turner's own figure, else the usual one; undefined when it is sealed, not dated, or keeps long. */
export function keepsUntil({ bottle, keeps }: Product): string | undefined {
  const days = bottle?.keeps ?? keeps?.days
  return bottle?.opened && days !== undefined ? new Date(Date.parse(bottle.opened.slice(0, 10)) + days * DAY_MS).toISOString().slice(0, 10) : undefined
}
