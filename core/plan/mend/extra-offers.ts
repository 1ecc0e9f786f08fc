import { grainOf, isCoatProduct, isPad, isResin, levels, productFor, type Product, type Shelf, type ShelfAbrasive } from '../../shelf'
import { isGrit, phases, type ExtraWork, type Plan, type Step, type StepId } from '../model'
import { isCoated, wetCoat } from './extra-works'

/** Something that may be done here beside the plan. */
export interface ExtraOffer {
  /** What. */
  work: ExtraWork
  /** With which abrasives, the coarsest first; empty for what takes none. */
  abrasives: readonly ShelfAbrasive[]
  /** With which products; empty for what takes none, or has no choice. */
  products: readonly Product[]
  /** The one of them that was used last, by its id. */
  usual?: string
}

/**
 * What may be done beside the plan while a step is under way (null: nothing is left), by what is on the wood by then, with what the plan's
 * shelf has and what came onto the shelf since (`now`).
 */
export function extraOffers(plan: Plan, underWay: StepId | null, leftOut: ReadonlySet<StepId>, now?: Shelf): ExtraOffer[] {
  const found = plan.steps.findIndex(step => step.id === underWay)
  const step = plan.steps[found]
  if (!step || phases.indexOf(step.phase) < phases.indexOf('turn')) return []
  const before = plan.steps.slice(0, found).filter(one => !one.apart && !leftOut.has(one.id))
  const shelf = withNew(plan.inputs.shelf, now)
  const coats = shelf.products.filter(isCoatProduct)
  const lastCoat = before.findLast(one => one.kind === 'coat')
  const more: ExtraOffer = {
    work: 'coat', abrasives: [], products: coats, ...(lastCoat?.kind === 'coat' ? { usual: lastCoat.product.id } : {}),
  }
  const lastGrit = before.findLast(isGrit)?.abrasive.id
  const grits = (work: ExtraWork, abrasives: readonly ShelfAbrasive[]): ExtraOffer[] =>
    abrasives.length
      ? [{ work, abrasives: coarseFirst(abrasives), products: [], ...(lastGrit ? { usual: lastGrit } : {}) }]
      : []
  const plain = (work: ExtraWork, may: boolean): ExtraOffer[] => (may ? [{ work, abrasives: [], products: [] }] : [])
  if (!isCoated(before))
    return [
      ...grits('sand', shelf.abrasives.filter(one => one.dry || isResin(plan.inputs.material))),
      ...plain('pads', shelf.abrasives.some(isPad)),
      ...plain('burnish', true),
      ...plain('harden', productFor(plan.inputs, 'thin CA') !== undefined),
      ...(coats.length ? [more] : []),
    ]
  const wet = shelf.abrasives.filter(one => one.wet)
  const polishes = shelf.products.filter(one => one.role === 'plastic polish' || one.role === 'fine polish')
  return [
    ...(coats.length ? [more] : []),
    ...plain('take off', wetCoat(before) !== undefined),
    ...grits('level', wet.filter(levels)),
    ...(isLevelled(before) ? grits('smooth', wet) : []),
    ...plain('pads', wet.some(isPad)),
    ...(polishes.length ? [{ work: 'polish' as const, abrasives: [], products: polishes }] : []),
  ]
}

/** Before it is levelled there are ridges on the film, and no scratches that a finer grit could take out. */
const isLevelled = (before: readonly Step[]): boolean =>
  before.slice(before.findLastIndex(step => step.kind === 'coat')).some(step => step.kind === 'level')

/** A shelf with what another has besides. */
function withNew(shelf: Shelf, now: Shelf = { abrasives: [], products: [] }): Shelf {
  const besides = <T extends { id: string }>(have: readonly T[], all: readonly T[]) =>
    [...have, ...all.filter(one => !have.some(other => other.id === one.id))]
  return { abrasives: besides(shelf.abrasives, now.abrasives), products: besides(shelf.products, now.products) }
}

const coarseFirst = (abrasives: readonly ShelfAbrasive[]): ShelfAbrasive[] => [...abrasives].sort((a, b) => grainOf(b) - grainOf(a))
