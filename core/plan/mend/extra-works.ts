import { grainOf, isCoatProduct, isPad, productFor, type Product, type ShelfAbrasive } from '../../shelf'
import { coatsOf } from '../make'
import { isGrit, isKind, stepId, type ExtraWork, type Phase, type Plan, type Step, type StepId, type StepKind, type StepOf } from '../model'

/** Where in a plan it is done. */
export interface ExtraPlace {
  /** The plan as it stands. */
  plan: Plan
  /** What was planned before it and not left out. */
  before: readonly Step[]
  /** The phase of the work there. */
  phase: Phase
  /** With what, by its id. */
  what: string | null
  /** The same itself, where it came with the entry. */
  item?: ShelfAbrasive | Product
}

/** A step before it is named and placed. */
type Bare = { [K in StepKind]: Omit<StepOf<K>, 'id' | 'phase' | 'barrels' | 'mend'> }[StepKind]

/** What was done, and which steps have to be done again after it. */
export interface ExtraMade {
  /** Done when it was entered. */
  done: readonly Bare[]
  /** Still to be done. */
  again: readonly Step[]
}

/** What each of them puts into a plan; undefined where it cannot be done with this shelf or at this place. */
export const extraMakers: Record<ExtraWork, (place: ExtraPlace) => ExtraMade | undefined> = {
  'coat': (place) => {
    const coat = coatMore(place)
    return coat && { done: [coat], again: [] }
  },
  'sand': place => sandedWith('sand', place),
  'level': place => sandedWith('level', place),
  'smooth': place => sandedWith('smooth', place),
  'pads': (place) => {
    const kind = isCoated(place.before) ? 'smooth' : 'sand'
    const pads = padsOf(place, kind)
    return pads.length ? { done: pads.map((abrasive): Bare => ({ kind, abrasive })), again: [] } : undefined
  },
  'polish': (place) => {
    const product = productIn(place)
    return product && { done: [{ kind: 'polish', product }], again: [] }
  },
  'take off': ({ before }) => {
    const coat = wetCoat(before)
    if (!coat) return undefined
    const { gate: _, mends: __, ...anew } = coat
    return { done: [{ kind: 'take off', product: coat.product, coat: coat.id }], again: [anew] }
  },
  'burnish': () => ({ done: [{ kind: 'burnish' }], again: [] }),
  'harden': ({ plan }) => {
    const product = productFor(plan.inputs, 'thin CA')
    return product && { done: [{ kind: 'harden', product }], again: [] }
  },
}

/** Whether anything was put on that stands on the wood. */
export const isCoated = (before: readonly Step[]): boolean => before.some(step => step.kind === 'coat')

/** The coat that was put on last, where nothing touched it since: it can be wiped off while it is wet. */
export function wetCoat(before: readonly Step[]): StepOf<'coat'> | undefined {
  const last = before.at(-1)
  return last?.kind === 'coat' ? last : undefined
}

/** The abrasive that is meant: one of the plan's shelf, one that was used since, or the one that came with the entry. */
function abrasiveIn({ plan: { inputs, steps }, what, item }: ExtraPlace): ShelfAbrasive | undefined {
  const known = inputs.shelf.abrasives.find(one => one.id === what) ?? steps.filter(isGrit).find(one => one.abrasive.id === what)?.abrasive
  return known ?? (item && 'scale' in item && item.id === what ? item : undefined)
}

/** The product that is meant: one of the plan's shelf, or the one that came with the entry. */
function productIn({ plan: { inputs: { shelf } }, what, item }: ExtraPlace): Product | undefined {
  return shelf.products.find(one => one.id === what) ?? (item && 'role' in item && item.id === what ? item : undefined)
}

/** Sanded with one abrasive: what was done after it with finer ones on the same surface is to be done again. */
function sandedWith(kind: 'sand' | 'level' | 'smooth', place: ExtraPlace): ExtraMade | undefined {
  const { before } = place
  const abrasive = abrasiveIn(place)
  if (!abrasive) return undefined
  const again = onSurface(before, kind === 'sand').filter(step => (isGrit(step) ? grainOf(step.abrasive) < grainOf(abrasive) : true))
  return { done: [{ kind, abrasive }], again: again.some(isGrit) ? again : [] }
}

const BARE: readonly StepKind[] = ['sand', 'burnish']
const FILM: readonly StepKind[] = ['smooth', 'polish']

/** What was done to refine the surface as it is now: the bare wood, or the film since its last coat. */
function onSurface(before: readonly Step[], bare: boolean): Step[] {
  const since = bare ? 0 : before.findLastIndex(step => step.kind === 'coat') + 1
  return before.slice(since).filter(step => (bare ? BARE : FILM).includes(step.kind))
}

/** The pads that were run on this surface, in their order; all those of the shelf where none was. */
function padsOf({ plan, before }: ExtraPlace, kind: 'sand' | 'smooth'): ShelfAbrasive[] {
  const run = onSurface(before, kind === 'sand').filter(isGrit).map(step => step.abrasive).filter(isPad)
  const pads = run.length ? run : plan.inputs.shelf.abrasives.filter(isPad).filter(one => kind === 'sand' || one.wet)
  return [...new Map(pads.map(one => [one.id, one])).values()].sort((a, b) => grainOf(b) - grainOf(a))
}

/** A coat more, put on as those of the plan are where it has any of that product. */
function coatMore(place: ExtraPlace): Bare | undefined {
  const { plan, phase, what } = place
  const asked = productIn(place)
  const planned = plan.steps.filter(isKind('coat')).findLast(one => one.product.id === what)
  const product = planned?.product ?? (asked && isCoatProduct(asked) ? asked : undefined)
  if (!product) return undefined
  const likePlanned = planned ? { accelerated: planned.accelerated, speed: planned.speed, applicator: planned.applicator } : {}
  const [coat] = coatsOf(plan.inputs, product, 1, { barrels: [], phase })
  return coat && { ...coat, ...likePlanned, gate: { purpose: 'next coat', since: 'coat' } }
}

/** Each piece of work once, the latest of it, the coarsest grit first; free of what did it before, and named by its work. */
export function onceEach(steps: readonly Step[]): Step[] {
  const latest = new Map(steps.map(step => [workOf(step), step]))
  const once = [...latest].map(([id, { mend: _, ...work }]): Step => ({ ...work, id }))
  return once.sort((a, b) => grainIn(b) - grainIn(a))
}

/** Finer than any grit comes what is none. */
const grainIn = (step: Step): number => (isGrit(step) ? grainOf(step.abrasive) : 0)

/** The piece of work that a step is; of one that was done beside the plan, what it was done with. */
function workOf(step: Step): StepId {
  if (!isExtra(step)) return stepId.work(step)
  const what = isGrit(step) ? step.abrasive.id : 'product' in step ? step.product?.id : undefined
  return what ? `${step.kind}.${what}` : step.kind
}

/** Whether a step is something that was done beside the plan. */
export const isExtra = (step: Step): boolean => step.mend !== undefined && /^more(~\d+)?$/.test(stepId.work(step))
