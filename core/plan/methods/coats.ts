import type { FilmStep } from '../../film'
import type { PlanInputs, Product, ProductRole, ShelfAbrasive } from '../inputs'
import { growingLayer, type After, type Layer } from '../method'
import type { Gate, Step, StepOf } from '../plan'
import { soakOnTop } from '../traits'
import { buildOf, productFor } from './products'

export type CoatStep = StepOf<'coat'>
type Barrels = Step['barrels']

/** A coat that is to be put on, and what is done once it is dry. */
export interface PlannedCoat {
  product: Product
  layer: Layer
  after: After['do'] | null
}

const isCa = (role: ProductRole): boolean => role === 'thin CA' || role === 'medium CA' || role === 'thick CA'

/** The coats of these layers when the growing one has so many, in their order. */
export function plannedCoats(inputs: PlanInputs, layers: readonly Layer[], growing: number): PlannedCoat[] {
  return layers.flatMap((layer) => {
    const product = productFor(inputs, layer.role)!
    const count = typeof layer.count === 'number' ? layer.count : growing
    return Array.from({ length: count }, (_, index): PlannedCoat => ({ product, layer, after: isDue(layer.after, index, count) ? layer.after!.do : null }))
  })
}

function isDue(after: After | null, index: number, count: number): boolean {
  if (!after) return false
  return after.when === 'each' || (after.when === 'last') === (index === count - 1)
}

const NEXT: Gate = { purpose: 'next coat', since: 'coat' }

/**
 * The steps of these coats, each with what is done to it once dry, and levelled after every `every` coats but the last with the abrasive that `levelWith` names for the coats since. CA coats are
 * numbered through, so that a coat that is on stays the same piece of work when another school is chosen; other products count their own.
 */
export function coatSteps(
  inputs: PlanInputs, coats: readonly PlannedCoat[], barrels: Barrels, every: number, cutBackWith: (coat: PlannedCoat) => ShelfAbrasive | undefined, levelWith: (since: readonly CoatStep[]) => ShelfAbrasive | undefined,
): Step[] {
  const quick = Boolean(productFor(inputs, 'accelerator'))
  const steps: Step[] = []
  const ofProduct = new Map<string, number>()
  let since: CoatStep[] = []
  /** Whether the coat before has been waited for already, by what was done to it. */
  let waited = true
  coats.forEach(({ product, layer, after }, index) => {
    const number = index + 1
    const own = (ofProduct.get(product.id) ?? 0) + 1
    ofProduct.set(product.id, own)
    const coat: CoatStep = {
      id: isCa(product.role) ? `coat.${number}` : `${product.id}.${own}`, phase: 'coat', kind: 'coat', barrels, product, number, soak: layer.soak, accelerated: layer.accelerate && quick && isCa(product.role),
      speed: layer.speed, applicator: layer.applicator, ...(waited ? {} : { gate: NEXT }),
    }
    steps.push(coat)
    since.push(coat)
    waited = false
    if (after) {
      const common = { phase: 'coat' as const, barrels, gate: after === 'wipe off' ? { purpose: 'wipe off', since: 'coat' } as const : NEXT }
      const abrasive = after === 'cut back' ? cutBackWith({ product, layer, after }) : undefined
      if (after === 'buff') steps.push({ ...common, id: `buff.${coat.id}`, kind: 'buff' })
      if (after === 'wipe off') steps.push({ ...common, id: `wipe.${coat.id}`, kind: 'wipe off', product })
      if (abrasive) steps.push({ ...common, id: `cut-back.${coat.id}`, kind: 'cut back', abrasive })
      if (abrasive) since = []
      // What was wiped off still has to dry before the next coat.
      waited = after === 'buff' || Boolean(abrasive)
    }
    if (every && number % every === 0 && number < coats.length && isCa(product.role)) {
      const abrasive = levelWith(since)
      if (abrasive) {
        steps.push({ id: `level.after.${number}`, phase: 'coat', kind: 'level', barrels, abrasive, gate: { purpose: 'level', since: 'coat' } })
        since = []
        waited = true
      }
    }
  })
  return steps
}

/** The coats of a run of steps since it was last levelled or cut back. */
export function coatsSince(steps: readonly Step[]): CoatStep[] {
  const last = steps.findLastIndex(step => step.kind === 'level' || step.kind === 'cut back')
  return steps.slice(last + 1).filter((step): step is CoatStep => step.kind === 'coat')
}

/** A coat as the film model takes it; undefined for what builds no film. */
export function coatAsFilm(inputs: PlanInputs, coat: CoatStep): Extract<FilmStep, { kind: 'coat' }> | undefined {
  const { product: { film } } = coat
  if (!film) return undefined
  return { kind: 'coat', product: { build: buildOf(inputs, coat.product).value, unevenness: film.unevenness }, onTop: coat.soak ? soakOnTop(inputs.material).value : 1, applicator: coat.applicator }
}

/** The least and the most that the growing layer of these may have; undefined when all counts are fixed. */
export function growingRange(layers: readonly Layer[]): { least: number, most: number } | undefined {
  const layer = layers[growingLayer({ layers })]
  return layer && typeof layer.count !== 'number' ? layer.count : undefined
}

/** So many coats of one product by themselves, without soaking in: what covers a place again. */
export function coatsOf(inputs: PlanInputs, product: Product, count: number, common: Pick<CoatStep, 'barrels' | 'phase'>): CoatStep[] {
  const quick = Boolean(productFor(inputs, 'accelerator')) && isCa(product.role)
  const speed = isCa(product.role) ? 500 : 0
  return Array.from({ length: count }, (_, index): CoatStep => ({
    ...common, id: `coat.${index + 1}`, kind: 'coat', product, number: index + 1, soak: false, accelerated: quick, speed, applicator: isCa(product.role) ? 'foam' : 'towel', ...(index > 0 ? { gate: NEXT } : {}),
  }))
}
