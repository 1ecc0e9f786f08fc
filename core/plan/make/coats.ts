import type { After, Layer } from '../../method'
import { filmAfter, filmStep, sandThrough } from '../../film'
import { isCa, productFor, type CoatProduct, type ShelfAbrasive } from '../../shelf'
import { isKind, type CoatStep, type Gate, type PlanInputs, type Step, type StepOf } from '../model'
import { filmSteps, levelAsFilm } from './as-film'
import { evennessOf } from './evenness'

type Barrels = Step['barrels']

/** A coat that is to be put on, and what is done once it is dry. */
export interface PlannedCoat {
  /** What it is of. */
  product: CoatProduct
  /** The layer it belongs to. */
  layer: Layer
  /** What is done once it is dry; null for nothing. */
  after: After['do'] | null
}

/** The coats of these layers when the growing one has so many, in their order; those of products that are not there are left out. */
export function plannedCoats(inputs: PlanInputs, layers: readonly Layer[], growing: number): PlannedCoat[] {
  return layers.flatMap((layer): PlannedCoat[] => {
    const product = productFor(inputs, layer.role)
    const count = typeof layer.count === 'number' ? layer.count : growing
    return product ? Array.from({ length: count }, (_, index) => ({ product, layer, after: afterCoat(layer.after, index, count) })) : []
  })
}

function afterCoat(after: After | null, index: number, count: number): After['do'] | null {
  if (!after) return null
  const isDue = after.when === 'each' || (after.when === 'last') === (index === count - 1)
  return isDue ? after.do : null
}

const NEXT: Gate = { purpose: 'next coat', since: 'coat' }
const SOAKED: Gate = { purpose: 'wipe off', since: 'coat' }

/** With what and when a run of coats is sanded. */
export interface Sanded {
  /** Levelled after every so many CA coats, later where it would go through, and not where one coat would be left; 0 for never. */
  every: number
  /** What a coat is cut back with; undefined when nothing on the shelf does. */
  cutBackWith: (coat: PlannedCoat) => ShelfAbrasive | undefined
  /** What these coats are levelled with. */
  levelWith: (since: readonly CoatStep[]) => ShelfAbrasive | undefined
}

/**
 * The steps of these coats, each with what is done to it once dry, and levelled in stages. CA coats are numbered through, so that a coat
 * that is on stays the same piece of work when another school is chosen; other products count their own.
 */
export function coatSteps(inputs: PlanInputs, coats: readonly PlannedCoat[], barrels: Barrels, sanded: Sanded): Step[] {
  const quick = Boolean(productFor(inputs, 'accelerator'))
  return coats.reduce<Step[]>((steps, planned, index) => {
    const { product, layer } = planned
    const number = index + 1
    const own = coats.slice(0, number).filter(one => one.product.id === product.id).length
    const last = steps.at(-1)
    const coat: CoatStep = {
      id: isCa(product.role) ? `coat.${number}` : `${product.id}.${own}`,
      phase: 'coat',
      kind: 'coat',
      barrels,
      product,
      number,
      soak: layer.soak,
      accelerated: layer.accelerate && quick && isCa(product.role),
      speed: layer.speed,
      applicator: layer.applicator,
      ...(last && !WAITED.includes(last.kind) ? { gate: NEXT } : {}),
    }
    const dry = onceDry(planned, coat, sanded)
    const so = [...steps, coat, ...dry]
    const isDue = sanded.every > 0 && isCa(product.role) && coatsLevelled(so) >= sanded.every
    return isDue && coats.length - number >= LAST_GROUP ? [...so, ...stageOf(inputs, so, number, barrels, sanded)] : so
  }, [])
}

/** So many coats at least come after the last stage: one alone would be sanded off again. */
const LAST_GROUP = 2
/** A stage of levelling with more than this chance of going through is put off [the handbook: one in twenty]. */
export const STAGE_RISK = 0.05

/** How many coats went on since the last levelling. */
const coatsLevelled = (steps: readonly Step[]): number =>
  steps.slice(steps.findLastIndex(step => step.kind === 'level') + 1).filter(isKind('coat')).length

/** What was done to a coat that is dry: before it the wait was kept already. What was wiped off still has to dry. */
const WAITED: readonly Step['kind'][] = ['buff', 'cut back', 'level']

function onceDry(planned: PlannedCoat, { id, barrels, product }: CoatStep, { cutBackWith }: Sanded): Step[] {
  const common = { phase: 'coat' as const, barrels }
  switch (planned.after) {
    case null: return []
    case 'buff': return [{ ...common, id: `buff.${id}`, kind: 'buff', gate: NEXT }]
    case 'wipe off': return [{ ...common, id: `wipe.${id}`, kind: 'wipe off', product, gate: SOAKED }]
    case 'cut back': {
      const abrasive = cutBackWith(planned)
      return abrasive ? [{ ...common, id: `cut-back.${id}`, kind: 'cut back', abrasive, gate: NEXT }] : []
    }
  }
}

function stageOf(inputs: PlanInputs, steps: readonly Step[], number: number, barrels: Barrels, { levelWith }: Sanded): Step[] {
  const abrasive = levelWith(coatsSince(steps))
  if (!abrasive) return []
  const stage: StepOf<'level'> = {
    id: `level.after.${number}`, phase: 'coat', kind: 'level', barrels, abrasive, gate: { purpose: 'level', since: 'coat' },
  }
  return stageRisk(inputs, steps, stage) > STAGE_RISK ? [] : [stage]
}

/** The chance of going through, at the ends, of a levelling after these steps, 0 to 1. */
export function stageRisk(inputs: PlanInputs, before: readonly Step[], level: StepOf<'level'>): number {
  const film = filmAfter(filmSteps(inputs, before))
  return sandThrough(film, film.mean - filmStep(film, levelAsFilm(inputs, level)).mean, evennessOf(inputs)).edges
}

/** The coats of a run of steps since it was last levelled or cut back. */
export function coatsSince(steps: readonly Step[]): CoatStep[] {
  const last = steps.findLastIndex(step => step.kind === 'level' || step.kind === 'cut back')
  return steps.slice(last + 1).filter(isKind('coat'))
}

/** So many coats of one product by themselves, without soaking in: what covers a place again. */
export function coatsOf(inputs: PlanInputs, product: CoatProduct, count: number, common: Pick<CoatStep, 'barrels' | 'phase'>): CoatStep[] {
  const ca = isCa(product.role)
  return Array.from({ length: count }, (_, index): CoatStep => ({
    ...common,
    id: `coat.${index + 1}`,
    kind: 'coat',
    product,
    number: index + 1,
    soak: false,
    accelerated: ca && Boolean(productFor(inputs, 'accelerator')),
    speed: ca ? 500 : 0,
    applicator: ca ? 'foam' : 'towel',
    ...(index > 0 ? { gate: NEXT } : {}),
  }))
}
